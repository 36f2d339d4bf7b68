import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { answer, api, leftOutWords, Problem, uploadPicture } from '../../api/client';
import { Button } from '../../ui/Button';
import { count, names } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Empty, Loading } from '../../ui/States';
import { inputClass } from '../../ui/inputClass';
import { useHold } from '../../ui/useDraft';
import { isOfPage, OF_PAGE } from '../engine/items';
import { accepted, fileOf, usePicturesAtHand } from '../../features/pictures/usePictures';

/** What a picture says where it stands: its own text if nothing else. */
type Said = { alt: string; decoration: boolean };

type Props = {
  open: boolean;
  /** Whose pictures are at hand besides the house's. */
  site: string;
  chosen: string;
  said: Said;
  /** Whether it lies behind other things, and so says nothing anyway. */
  behind: boolean;
  /** Whether it stands in an item of a list, which may show a page. */
  inItem?: boolean;
  onClose: () => void;
  onChoose: (picture: string, said: Said) => Promise<Problem | undefined>;
};

/** Choose a picture from those at hand, or bring one in. */
export function PicturePicker(props: Props) {
  return (
    <Sheet open={props.open} onClose={props.onClose} title="Choose a picture" wide>
      <Choice {...props} />
    </Sheet>
  );
}

/** Named before the others are only counted. */
const NAMED = 4;

/** Where a picture is used already: on pages, and in pieces. */
function UsedIn({ picture }: { picture: string }) {
  const used = useQuery({
    queryKey: ['uses', 'picture', picture],
    queryFn: () =>
      answer(
        api.GET('/api/uses/{kind}/{id}', { params: { path: { kind: 'picture', id: picture } } }),
      ),
    gcTime: 0,
  });
  if (!used.data) return null;
  const places = [
    ...used.data.pages.map((page) => `“${page.title}” of ${page.siteName}`),
    ...used.data.pieces.map((piece) => `the piece “${piece.name}”`),
  ];
  const others = places.length - NAMED + used.data.more;
  return (
    <p className="mt-3 text-[13px] text-soft">
      {places.length === 0
        ? 'Used nowhere yet.'
        : `Used on ${names(places.slice(0, NAMED))}${others > 0 ? ` and ${count(others, 'other place')}` : ''}.`}
    </p>
  );
}

function Choice({ site, chosen, said, behind, inItem = false, onClose, onChoose }: Props) {
  useHold();
  const altId = useId();
  const queries = useQueryClient();
  const pictures = usePicturesAtHand(site);
  const [picture, setPicture] = useState(isOfPage(chosen) ? OF_PAGE : chosen);
  const [words, setWords] = useState('');
  const [text, setText] = useState(said.alt);
  const [decoration, setDecoration] = useState(said.decoration);
  const own = pictures.data?.find(({ id }) => id === picture);
  const found = pictures.data?.filter(({ fileName, alt, tags }) =>
    `${fileName} ${alt} ${tags.join(' ')}`.toLowerCase().includes(words.trim().toLowerCase()),
  );
  const [problem, setProblem] = useState<string>();
  const [note, setNote] = useState('');

  /** What was said of the picture here is not said of another one. */
  const take = (id: string) => {
    setPicture(id);
    setText(id === chosen ? said.alt : '');
    setDecoration(id === chosen && said.decoration);
  };
  const bringIn = async (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    setNote('');
    try {
      const added = await uploadPicture(site, file);
      await queries.invalidateQueries({ queryKey: ['pictures'] });
      take(added.picture.id);
      setNote(leftOutWords(added));
    } catch (error) {
      setProblem(
        error instanceof Problem ? error.message : 'The picture could not be sent; try again.',
      );
    }
  };
  const use = async () => {
    const failed = await onChoose(picture, { alt: decoration ? '' : text, decoration });
    if (failed) setProblem(failed.message);
    else onClose();
  };

  return (
    <>
      {pictures.isPending && <Loading what="the pictures" />}
      {pictures.data?.length === 0 && <Empty>No pictures yet. Bring the first one in below.</Empty>}
      {pictures.data && pictures.data.length > 0 && (
        <input
          type="search"
          aria-label="Find a picture"
          placeholder="Name, text or tag"
          className={`${inputClass} mb-2 max-w-64`}
          value={words}
          onChange={(e) => {
            setWords(e.target.value);
          }}
        />
      )}
      {inItem && (
        <button
          type="button"
          aria-pressed={picture === OF_PAGE}
          onClick={() => {
            take(OF_PAGE);
          }}
          className="mb-2 block w-full text-left border border-line px-2.5 py-1.5 text-[13px] aria-pressed:outline aria-pressed:outline-2 aria-pressed:outline-verdigris"
        >
          The picture of the page that the item shows
        </button>
      )}
      <ul className="grid grid-cols-4 gap-3 h-64 overflow-y-auto p-1 content-start">
        {found?.map((p) => (
          <li key={p.id}>
            <button
              type="button"
              aria-pressed={picture === p.id}
              onClick={() => {
                take(p.id);
              }}
              className="block w-full text-left border border-line p-1 aria-pressed:outline aria-pressed:outline-2 aria-pressed:outline-verdigris"
            >
              <img
                src={fileOf(p, 320)}
                loading="lazy"
                alt=""
                className="w-full aspect-video object-contain bg-board"
              />
              <span className="block truncate text-[12.5px] mt-1">{p.fileName}</span>
              <span className="block text-soft text-[12px]">
                {p.width} × {p.height}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 grid grid-cols-2 gap-4">
        <label className="text-[13px]">
          <span className="font-medium">Bring one in</span>{' '}
          <span className="text-soft">PNG, JPEG or SVG, up to 8 MB</span>
          <input
            type="file"
            accept={accepted}
            className="mt-1 block text-[13px]"
            onChange={(e) => void bringIn(e.target.files?.[0])}
          />
        </label>
        {!behind && (
          <div className="text-[13px]">
            <label htmlFor={altId}>
              <span className="font-medium">Alternative text here</span>{' '}
              <span className="text-soft">empty for the picture’s own</span>
            </label>
            <input
              id={altId}
              className={`${inputClass} mt-1`}
              value={decoration ? '' : text}
              disabled={decoration}
              placeholder={
                decoration
                  ? 'says nothing on purpose'
                  : own?.alt || 'the picture has none of its own'
              }
              onChange={(e) => {
                setText(e.target.value);
              }}
            />
            <label className="mt-1 flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={decoration}
                onChange={(e) => {
                  setDecoration(e.target.checked);
                }}
              />
              Decoration: it says nothing here
            </label>
          </div>
        )}
      </div>
      {picture && picture !== OF_PAGE && <UsedIn picture={picture} />}
      {note && (
        <p role="status" className="mt-3 text-soft">
          {note}
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-3 text-brick">
          {problem}
        </p>
      )}
      <div className="mt-5 flex justify-end gap-3">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button look="main" disabled={!picture} onClick={() => void use()}>
          Use this picture
        </Button>
      </div>
    </>
  );
}
