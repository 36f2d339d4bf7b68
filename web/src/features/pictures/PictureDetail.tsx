import { useQueryClient } from '@tanstack/react-query';
import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { answer, api, leftOutWords, Problem, replacePicture, type Schemas } from '../../api/client';
import { BringIn } from '../../ui/BringIn';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { DraftInput } from '../../ui/DraftInput';
import { inputClass } from '../../ui/inputClass';
import { UsesButton } from '../uses/UsesButton';
import { ProblemLine } from '../../ui/ProblemLine';
import { useDraft } from '../../ui/useDraft';
import { useInTurn } from '../../ui/useInTurn';
import { betterName, nextMissing, saysOf, type Card, type Picture } from './narrow';
import { accepted, fileOf } from './usePictures';

type Said = Schemas['SaidOfPicture'];

type Props = {
  card: Card;
  /** Those among which it is looked at. */
  cards: readonly Card[];
  owner: string;
  /** In whose look pieces with it are drawn if it is for all clients. */
  site: string;
  onTake: (id: string) => void;
};

/** One picture: what it says, what of it is seen when it is cropped, its file, where it is used. */
export function PictureDetail({ card, cards, owner, site, onTake }: Props) {
  const queries = useQueryClient();
  const { picture } = card;
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  const inTurn = useInTurn(picture.etag);
  const again = async () => {
    await queries.invalidateQueries({ queryKey: ['pictures'] });
    await queries.invalidateQueries({ queryKey: ['survey'] });
    await queries.invalidateQueries({ queryKey: ['frame'] });
  };
  const say = async (part: Said): Promise<Problem | undefined> => {
    const path = { id: picture.id };
    try {
      await inTurn((etag) =>
        answer(api.PATCH('/api/pictures/{id}', { params: { path, query: { etag } }, body: part })),
      );
      await again();
      setProblem('');
      return undefined;
    } catch (error) {
      await again();
      if (error instanceof Problem) return error;
      throw error;
    }
  };
  const told = async (part: Said) => {
    setProblem((await say(part))?.message ?? '');
  };
  const act = async (deed: () => Promise<string>) => {
    setProblem('');
    setNote('');
    try {
      setNote(await deed());
      await again();
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'That failed; try again.');
    }
  };
  return (
    <section
      aria-label={picture.fileName}
      className="border-l border-line pl-5 pr-1 py-4 overflow-y-auto min-h-0 text-[13px]"
    >
      <Focal
        picture={picture}
        onSet={(focusX, focusY) => {
          void told({ focusX, focusY });
        }}
      />
      <p className="mt-1 text-soft">
        {picture.width} × {picture.height} px, {kinds[picture.mediaType] ?? 'file'} · {owner}
      </p>
      <Text card={card} cards={cards} say={say} onTake={onTake} />
      <Name picture={picture} say={say} />
      <Tags picture={picture} say={say} />
      <UsedIn picture={picture} uses={card.uses} site={site} />
      <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-line pt-3">
        <BringIn
          label="Another file everywhere"
          look="plain"
          accept={accepted}
          multiple={false}
          onFiles={([file]) => {
            if (!file) return;
            void act(async () => {
              const added = await inTurn(async (etag) => {
                const { picture: now, leftOut } = await replacePicture(picture.id, etag, file);
                return { etag: now.etag, leftOut };
              });
              const words = leftOutWords(added);
              return `The new file is in ${count(card.uses, 'place')}. ${words}`;
            });
          }}
        />
        {card.earlier && (
          <Button
            look="quiet"
            onClick={() =>
              void act(async () => {
                await inTurn((etag) =>
                  answer(
                    api.POST('/api/pictures/{id}/earlier', {
                      params: { path: { id: picture.id }, query: { etag } },
                    }),
                  ),
                );
                return 'The earlier file is back.';
              })
            }
          >
            Put the earlier file back
          </Button>
        )}
        <Button look="quiet" onClick={() => void told({ away: !picture.away })}>
          {picture.away ? 'Offer it again' : 'Put it away'}
        </Button>
      </div>
      {note && (
        <p role="status" className="mt-2 text-soft">
          {note}
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-brick">
          {problem}
        </p>
      )}
    </section>
  );
}

const kinds: Record<string, string> = {
  'image/png': 'PNG',
  'image/jpeg': 'JPEG',
  'image/svg+xml': 'SVG, sharp at any size',
};

const STEP = 0.05;
const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

function within(share: number): number {
  return Math.round(Math.min(1, Math.max(0, share)) * 100) / 100;
}

/** The picture with its focal point, which a click or the arrow keys move. */
function Focal({ picture, onSet }: { picture: Picture; onSet: (x: number, y: number) => void }) {
  const moved = (event: KeyboardEvent) => {
    const by = arrows[event.key];
    if (!by) return;
    event.preventDefault();
    onSet(within(picture.focusX + by[0]), within(picture.focusY + by[1]));
  };
  const percent = (share: number) => `${String(Math.round(share * 100))}%`;
  return (
    <div className="flex justify-center bg-board">
      <button
        type="button"
        aria-label={`Focal point at ${percent(picture.focusX)} across, ${percent(picture.focusY)} down`}
        title="What is to be seen when the picture is cropped: click there, or move it with the arrow keys"
        className="relative block cursor-crosshair"
        onKeyDown={moved}
        onClick={(event) => {
          if (event.detail === 0) return;
          const box = event.currentTarget.getBoundingClientRect();
          onSet(
            within((event.clientX - box.left) / box.width),
            within((event.clientY - box.top) / box.height),
          );
        }}
      >
        <img
          src={fileOf(picture, 640)}
          alt=""
          className="block"
          style={{
            width: Math.min(320, (224 * picture.width) / picture.height),
            aspectRatio: `${String(picture.width)} / ${String(picture.height)}`,
          }}
        />
        <span
          aria-hidden
          className="absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white outline-2 outline-verdigris bg-verdigris/30"
          style={{ left: percent(picture.focusX), top: percent(picture.focusY) }}
        />
      </button>
    </div>
  );
}

type Say = (part: Said) => Promise<Problem | undefined>;

/** What it says; Enter goes on to the next picture that says nothing yet. */
function Text({ card, cards, say, onTake }: Omit<Props, 'owner' | 'site'> & { say: Say }) {
  const id = useId();
  const { picture } = card;
  const draft = useDraft(picture.alt, (alt) => say({ alt }));
  const next = nextMissing(cards, picture.id);
  const focused = useRef(false);
  return (
    <div className="mt-3">
      <label htmlFor={id} className="font-medium">
        Alternative text
      </label>
      <textarea
        id={id}
        ref={(field) => {
          // Going from one to the next, typing goes on where it was.
          if (!field || focused.current || saysOf(picture) !== 'missing') return;
          focused.current = true;
          field.focus({ preventScroll: true });
        }}
        rows={2}
        className={`${inputClass} mt-0.5 resize-none block`}
        disabled={picture.decoration}
        placeholder={
          picture.decoration ? 'says nothing on purpose' : 'What it shows, in a few words'
        }
        value={picture.decoration ? '' : draft.text}
        aria-invalid={draft.problem !== undefined}
        aria-describedby={`${id}-problem`}
        onChange={(event) => {
          draft.typed(event.target.value);
        }}
        onBlur={() => void draft.leave()}
        onKeyDown={(event) => {
          if (event.key === 'Escape') draft.drop();
          if (event.key !== 'Enter') return;
          event.preventDefault();
          void draft.commit().then(() => {
            if (next) onTake(next.picture.id);
          });
        }}
      />
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
      <div className="mt-1 flex items-center gap-3">
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={picture.decoration}
            onChange={(event) => void say({ decoration: event.target.checked })}
          />
          Decoration: it says nothing
        </label>
        {next && <span className="ml-auto text-soft text-[12px]">Enter: next without text</span>}
      </div>
    </div>
  );
}

function Name({ picture, say }: { picture: Picture; say: Say }) {
  const id = useId();
  const draft = useDraft(picture.fileName, (fileName) => say({ fileName }));
  const better = betterName(picture);
  return (
    <div className="mt-3">
      <label htmlFor={id} className="font-medium">
        File name
      </label>
      <DraftInput id={id} draft={draft} className={`${inputClass} mt-0.5`} />
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
      {better && (
        <p className="mt-1">
          The name says nothing.{' '}
          <Button look="quiet" onClick={() => void say({ fileName: better })}>
            Call it {better}
          </Button>
        </p>
      )}
    </div>
  );
}

function Tags({ picture, say }: { picture: Picture; say: Say }) {
  const id = useId();
  const draft = useDraft(picture.tags.join(', '), (typed) =>
    say({ tags: typed.split(',').filter((tag) => tag.trim() !== '') }),
  );
  return (
    <div className="mt-3">
      <label htmlFor={id}>
        <span className="font-medium">Tags</span> <span className="text-soft">with commas</span>
      </label>
      <DraftInput id={id} draft={draft} className={`${inputClass} mt-0.5`} />
      <ProblemLine id={`${id}-problem`} problem={draft.problem} />
    </div>
  );
}

type UsedInProps = { picture: Picture; uses: number; site: string };

/** How often it is used; beside that, where. */
function UsedIn({ picture, uses, site }: UsedInProps) {
  return (
    <p className="mt-4 flex items-baseline gap-2">
      <span className="mr-auto">
        {uses === 0 ? 'Used nowhere' : `Used in ${count(uses, 'place')}`}
      </span>
      {uses > 0 && (
        <UsesButton
          of={{ kind: 'picture', id: picture.id, name: picture.fileName }}
          site={picture.siteId || site}
        />
      )}
    </p>
  );
}
