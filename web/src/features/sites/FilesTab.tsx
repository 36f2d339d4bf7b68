import { useState } from 'react';
import { answer, api, Problem, replaceFile, uploadFile, type Schemas } from '../../api/client';
import { BringIn, Sent } from '../../ui/BringIn';
import { Button } from '../../ui/Button';
import { count, names } from '../../ui/count';
import { DraftInput } from '../../ui/DraftInput';
import { inputClass } from '../../ui/inputClass';
import { ProblemLine } from '../../ui/ProblemLine';
import { Empty, Failed, Loading } from '../../ui/States';
import { useBringIn } from '../../ui/useBringIn';
import { useDraft } from '../../ui/useDraft';
import { useInTurn } from '../../ui/useInTurn';
import { UsesButton } from '../uses/UsesButton';
import { accepted, useFiles, useFilesAgain } from './useFiles';

type Card = Schemas['FileCard'];

/** What visitors of a site can keep: price lists, forms, dates for their calendar. */
export function FilesTab({ siteId }: { siteId: string }) {
  const files = useFiles(siteId);
  const again = useFilesAgain();
  const [over, setOver] = useState(false);
  const { sending, bringIn, clear } = useBringIn(async (file) => {
    const added = await uploadFile(siteId, file);
    return `It is called ${added.fileName}`;
  }, again);
  if (files.error) return <Failed error={files.error} retry={() => void files.refetch()} />;
  if (!files.data) return <Loading what="the files" />;
  const cards = [...files.data].sort((a, b) => Number(a.file.away) - Number(b.file.away));
  return (
    <div
      className={`grid grid-rows-[auto_minmax(0,1fr)_auto] min-h-0 pt-4 ${over ? 'outline-2 outline-dashed -outline-offset-4 outline-verdigris' : ''}`}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void bringIn([...event.dataTransfer.files]);
      }}
    >
      <div className="flex items-center gap-6 pb-3">
        <p className="text-soft mr-auto">
          What visitors can keep, such as a price list to print or dates for a calendar. A link
          finds a file by its name, and follows it.
        </p>
        <BringIn
          label="Bring files in"
          title="PDF, Office and OpenDocument files, EPUB, ZIP, TXT, CSV, ICS, VCF, up to 8 MB each; or drop them"
          accept={accepted}
          onFiles={(chosen) => void bringIn(chosen)}
        />
      </div>
      <div className="overflow-y-auto min-h-0">
        {cards.length === 0 ? (
          <Empty>No files yet. Drop some here, or bring them in above.</Empty>
        ) : (
          <table className="w-full border-collapse text-[13px]">
            <thead>
              <tr className="text-left border-b border-ink">
                <th className="font-medium py-1.5 pr-4 w-[36%]">File name</th>
                <th className="font-medium py-1.5 pr-4">Kind and size</th>
                <th className="font-medium py-1.5 pr-4">Linked to</th>
                <th className="font-medium py-1.5">
                  <span className="sr-only">What can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {cards.map((card) => (
                <Row key={card.file.id} card={card} again={again} />
              ))}
            </tbody>
          </table>
        )}
      </div>
      <Sent sending={sending} onClear={clear} />
    </div>
  );
}

function Row({
  card: { file, kind, uses, menus },
  again,
}: {
  card: Card;
  again: () => Promise<void>;
}) {
  const [problem, setProblem] = useState<Problem>();
  const [note, setNote] = useState('');
  const path = { id: file.id };
  const inTurn = useInTurn(file.etag);
  const act = async (deed: () => Promise<string>): Promise<Problem | undefined> => {
    setNote('');
    try {
      setNote(await deed());
      await again();
      setProblem(undefined);
      return undefined;
    } catch (error) {
      await again();
      if (error instanceof Problem) return error;
      throw error;
    }
  };
  const draft = useDraft(file.fileName, (fileName) =>
    act(async () => {
      await inTurn((etag) =>
        answer(
          api.PATCH('/api/files/{id}', { params: { path, query: { etag } }, body: { fileName } }),
        ),
      );
      return '';
    }),
  );
  const problemId = `file-${file.id}`;
  return (
    <tr className="border-b border-line align-top">
      <td className="py-1.5 pr-4">
        <DraftInput
          draft={draft}
          className={inputClass}
          aria-label={`Name of ${file.fileName}`}
          aria-describedby={problemId}
        />
        <ProblemLine id={problemId} problem={draft.problem ?? problem} />
        {note && (
          <p role="status" className="text-soft">
            {note}
          </p>
        )}
      </td>
      <td className="py-3 pr-4 tabular-nums">{kind}</td>
      <td className="py-3 pr-4">
        {file.away ? (
          <span className="text-soft">Put away</span>
        ) : uses === 0 ? (
          <span className="text-soft">nothing links to it yet</span>
        ) : (
          <span className="flex items-baseline gap-3">
            in {count(uses, 'place')}
            <UsesButton of={{ kind: 'file', id: file.id, name: file.fileName }} site={file.siteId}>
              {menus.length > 0 && (
                <p className="mt-4">
                  Linked to in the {menus.length === 1 ? 'menu' : 'menus'}{' '}
                  {names(menus.map((menu) => `“${menu}”`))}.
                </p>
              )}
            </UsesButton>
          </span>
        )}
      </td>
      <td className="py-3">
        <span className="flex items-baseline justify-end gap-4">
          <a
            href={`/api/files/${file.id}/file`}
            download={file.fileName}
            className="text-verdigris font-medium hover:underline"
          >
            Save a copy
          </a>
          <BringIn
            label={`Another file for ${file.fileName}`}
            look="quiet"
            accept={file.fileName.slice(file.fileName.lastIndexOf('.'))}
            multiple={false}
            onFiles={([other]) => {
              if (!other) return;
              void act(async () => {
                await inTurn((etag) => replaceFile(file.id, etag, other));
                return uses === 0
                  ? 'It has the new content.'
                  : `It has the new content in ${count(uses, 'place')}, once published.`;
              }).then(setProblem);
            }}
          >
            Another file
          </BringIn>
          <Button
            look="quiet"
            onClick={() =>
              void act(async () => {
                const body = { away: !file.away };
                await inTurn((etag) =>
                  answer(api.PATCH('/api/files/{id}', { params: { path, query: { etag } }, body })),
                );
                return '';
              }).then(setProblem)
            }
          >
            {file.away ? 'Offer it again' : 'Put it away'}
          </Button>
        </span>
      </td>
    </tr>
  );
}
