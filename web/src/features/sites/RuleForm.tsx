import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputClass } from '../../ui/inputClass';
import { usePieceList } from '../library/useLibrary';
import { usePageKinds, useRegions } from './useSites';
import { isOffered } from '../../workbench/hands/actions';

export type Rule = Schemas['Rule'];

type Props = {
  rule: Rule;
  pages: Schemas['CoverageView']['pages'];
  parts: Schemas['CoverageView']['parts'];
  siteId: string;
  onChange: (rule: Rule) => void;
  onDrop: () => void;
};

const scopes = [
  { word: 'site', title: 'The whole site' },
  { word: 'kind', title: 'Pages of a kind' },
  { word: 'branch', title: 'A page and what is below it' },
  { word: 'page', title: 'One page' },
];

/** Which kinds of pieces are offered for a region, before all others. */
const fitting: Record<string, string> = { header: 'header', side: 'header', footer: 'footer' };

/** What a rule gives, where, and for which pages. */
export function RuleForm({ rule, pages, parts, siteId, onChange, onDrop }: Props) {
  const kinds = usePageKinds();
  const regions = useRegions();
  const isBandAt = (word: string) =>
    regions.data?.some((region) => region.word === word && region.band) ?? false;
  const pieces = usePieceList();
  const isBand = isBandAt(rule.region);
  const offered = (pieces.data ?? []).filter(
    (piece) => piece.root === 'section' && isOffered(piece, siteId),
  );
  const wanted = fitting[rule.region];
  const first = offered.filter((piece) => piece.kind === wanted);
  const others = offered.filter((piece) => piece.kind !== wanted);
  const gives = rule.piece ? `piece:${rule.piece}` : rule.part ? `part:${rule.part}` : '';
  const set = (part: Partial<Rule>) => {
    onChange({ ...rule, ...part });
  };
  const field = `${inputClass} mt-0.5`;
  return (
    <div className="grid gap-3 py-3 text-[13.5px]">
      <label>
        <span className="font-medium">Where on the page</span>
        <select
          aria-label="Where on the page"
          className={field}
          value={rule.region}
          onChange={(e) => {
            const region = e.target.value;
            set({ region, band: isBandAt(region) ? rule.band || 'Notice' : '' });
          }}
        >
          {regions.data?.map(({ word, title }) => (
            <option key={word} value={word}>
              {title}
            </option>
          ))}
        </select>
      </label>
      {isBand && (
        <label>
          <span className="font-medium">Name of the band</span>
          <input
            className={field}
            value={rule.band}
            maxLength={60}
            onChange={(e) => {
              set({ band: e.target.value });
            }}
          />
        </label>
      )}
      <label>
        <span className="font-medium">What stands there</span>
        <select
          aria-label="What stands there"
          className={field}
          value={gives}
          onChange={(e) => {
            const [kind, id = ''] = e.target.value.split(/:(.*)/s);
            set({ part: kind === 'part' ? id : '', piece: kind === 'piece' ? id : '' });
          }}
        >
          <option value="">None</option>
          {parts.length > 0 && (
            <optgroup label="Shared parts of this site">
              {parts.map(({ id, title, pages: n }) => (
                <option key={id} value={`part:${id}`}>
                  {title}
                  {n === 0 ? ', on no page' : ''}
                </option>
              ))}
            </optgroup>
          )}
          {first.length > 0 && (
            <optgroup label={wanted === 'footer' ? 'Footers' : 'Headers'}>
              {first.map(({ id, name }) => (
                <option key={id} value={`piece:${id}`}>
                  {name}
                </option>
              ))}
            </optgroup>
          )}
          <optgroup label="Section templates">
            {others.map(({ id, name }) => (
              <option key={id} value={`piece:${id}`}>
                {name}
              </option>
            ))}
          </optgroup>
        </select>
      </label>
      <label>
        <span className="font-medium">For</span>
        <select
          aria-label="For"
          className={field}
          value={rule.scope}
          onChange={(e) => {
            const scope = e.target.value;
            const of =
              scope === 'site'
                ? ''
                : scope === 'kind'
                  ? (kinds.data?.[0]?.word ?? '')
                  : (pages[0]?.id ?? '');
            set({ scope, of });
          }}
        >
          {scopes.map(({ word, title }) => (
            <option key={word} value={word}>
              {title}
            </option>
          ))}
        </select>
      </label>
      {rule.scope !== 'site' && (
        <label>
          <span className="font-medium">{rule.scope === 'kind' ? 'The kind' : 'The page'}</span>
          <select
            aria-label={rule.scope === 'kind' ? 'The kind' : 'The page'}
            className={field}
            value={rule.of}
            onChange={(e) => {
              set({ of: e.target.value });
            }}
          >
            {rule.scope === 'kind'
              ? kinds.data?.map(({ word, title }) => (
                  <option key={word} value={word}>
                    {title}
                  </option>
                ))
              : pages.map(({ id, title, depth }) => (
                  <option key={id} value={id}>
                    {`${' '.repeat(depth * 3)}${title}`}
                  </option>
                ))}
          </select>
        </label>
      )}
      {rule.scope !== 'page' && pages.length > 0 && (
        <fieldset>
          <legend className="font-medium">But not on</legend>
          <div className="max-h-36 overflow-y-auto border border-line bg-sheet px-2 py-1 mt-0.5">
            {pages.map(({ id, title }) => (
              <label key={id} className="flex items-center gap-2 min-h-6">
                <input
                  type="checkbox"
                  className="accent-verdigris"
                  checked={rule.except.includes(id)}
                  onChange={(e) => {
                    set({
                      except: e.target.checked
                        ? [...rule.except, id]
                        : rule.except.filter((page) => page !== id),
                    });
                  }}
                />
                {title}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div>
        <Button look="quiet" onClick={onDrop}>
          Take this rule away
        </Button>
      </div>
    </div>
  );
}
