import { useState } from 'react';
import type { Problem } from '../../api/client';
import { usePageKinds, useSite, type SitePage } from '../../features/sites/useSites';
import { Button } from '../../ui/Button';
import { count } from '../../ui/count';
import { Sheet } from '../../ui/Sheet';
import { Failed, Loading } from '../../ui/States';
import { byTitle, lots, stepped, toggled, withLot } from './shownPages';

type Props = {
  site: string;
  /** The pages that the list shows now, in their order. */
  shown: readonly string[];
  /** What it is to show all of; empty if it is to show what was chosen. */
  lot: string;
  onChoose: (pages: readonly string[], lot: string) => Promise<Problem | undefined>;
  onClose: () => void;
};

/** Which pages a list shows, and in which order. */
export function PagesSheet(props: Props) {
  const site = useSite(props.site);
  return (
    <Sheet open onClose={props.onClose} title="Pages in this list" wide>
      {site.error && <Failed error={site.error} retry={() => void site.refetch()} />}
      {site.data ? (
        <Choice {...props} pages={site.data.pages} />
      ) : (
        !site.error && <Loading what="the pages" />
      )}
    </Sheet>
  );
}

function Choice({
  pages,
  shown,
  lot: followed,
  onChoose,
  onClose,
}: Props & { pages: readonly SitePage[] }) {
  const kinds = usePageKinds();
  const [chosen, setChosen] = useState(shown.filter((id) => pages.some((page) => page.id === id)));
  const [lot, setLot] = useState(followed);
  const [problem, setProblem] = useState('');
  const offered = lots(pages, kinds.data ?? []);
  const title = (id: string) => pages.find((page) => page.id === id)?.title ?? id;
  const keep = async () => {
    const failed = await onChoose(chosen, lot);
    if (failed) setProblem(failed.message);
    else onClose();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <p className="text-soft mb-3">
        Title, summary, picture and link of each item come from its page and follow it. Where a page
        has no picture or summary, its place is left out in what is published.
      </p>
      <div className="grid grid-cols-2 gap-6">
        <section aria-label="Pages of the site" className="min-w-0">
          <h3 className="text-base mb-1">Pages of the site</h3>
          <ul className="h-60 overflow-y-auto border-y border-line">
            {pages.map((page) => (
              <li key={page.id} className="border-b border-hair">
                <label
                  className="flex items-baseline gap-2 py-1 pr-2"
                  style={{ paddingLeft: 8 + page.depth * 18 }}
                >
                  <input
                    type="checkbox"
                    className="accent-verdigris"
                    checked={chosen.includes(page.id)}
                    onChange={() => {
                      setChosen([...toggled(chosen, page.id)]);
                    }}
                  />
                  <span className="truncate">{page.title}</span>
                  {!page.ready && <span className="text-ochre ml-auto text-[12.5px]">in work</span>}
                </label>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="As they are shown" className="min-w-0">
          <h3 className="text-base mb-1">As they are shown</h3>
          <ol className="h-60 overflow-y-auto border-y border-line">
            {chosen.length === 0 && <li className="text-soft py-1">None yet.</li>}
            {chosen.map((id, at) => (
              <li key={id} className="flex items-center gap-1 border-b border-hair py-0.5">
                <span className="text-soft w-6 text-right tabular-nums">{at + 1}</span>
                <span className="truncate mr-auto pl-1">{title(id)}</span>
                {([-1, 1] as const).map((by) => (
                  <Button
                    key={by}
                    look="quiet"
                    aria-label={`${title(id)} ${by < 0 ? 'up' : 'down'}`}
                    disabled={by < 0 ? at === 0 : at === chosen.length - 1}
                    onClick={() => {
                      setChosen([...stepped(chosen, id, by)]);
                    }}
                  >
                    {by < 0 ? '↑' : '↓'}
                  </Button>
                ))}
              </li>
            ))}
          </ol>
        </section>
      </div>
      <p className="flex flex-wrap gap-x-4 mt-2 text-[13px]">
        {offered.map((each) => (
          <Button
            key={each.link}
            look="quiet"
            onClick={() => {
              setChosen([...withLot(chosen, each)]);
              setLot(each.link);
            }}
          >
            All {each.pages.length} {each.title}
          </Button>
        ))}
        {chosen.length > 1 && (
          <Button
            look="quiet"
            className="ml-auto"
            onClick={() => {
              setChosen([...byTitle(chosen, pages)]);
            }}
          >
            In the order of their titles
          </Button>
        )}
      </p>
      {lot !== '' && (
        <p className="mt-2 text-[13px]">
          It is to show all {offered.find(({ link }) => link === lot)?.title ?? 'of a kind'}: where
          one is missing, the survey says so.{' '}
          <Button
            look="quiet"
            onClick={() => {
              setLot('');
            }}
          >
            Only what is chosen
          </Button>
        </p>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-3 mt-4">
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button look="main" type="submit" disabled={chosen.length === 0}>
          {chosen.length === 0 ? 'Show these pages' : `Show ${count(chosen.length, 'page')}`}
        </Button>
      </div>
    </form>
  );
}
