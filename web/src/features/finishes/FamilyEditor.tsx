import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../../api/client';

type Props = { css: string; site: string; onTry: (value: string) => void };

export function useFonts(site: string) {
  return useQuery({
    queryKey: ['fonts', site],
    queryFn: () => answer(api.GET('/api/fonts', { params: { query: { site } } })),
  });
}

/** The families that are there, by class; the chosen one comes with its fallbacks. */
export function FamilyEditor({ css, site, onTry }: Props) {
  const fonts = useFonts(site);
  const first = css.split(',')[0]?.trim() ?? '';
  const types = [...new Set(fonts.data?.families.map((family) => family.type))];
  return (
    <div role="group" aria-label="Families" className="mt-3 grid gap-1">
      {types.map((type) => (
        <div key={type} className="grid grid-cols-[56px_minmax(0,1fr)] gap-2 items-baseline">
          <span className="text-soft">{type}</span>
          <span className="flex flex-wrap gap-x-3 gap-y-0.5">
            {fonts.data?.families
              .filter((family) => family.type === type)
              .map((family) => (
                <button
                  key={`${family.name} ${family.own}`}
                  type="button"
                  aria-pressed={family.name === first}
                  onClick={() => {
                    onTry(family.stack);
                  }}
                  className="hover:underline underline-offset-2 aria-pressed:font-semibold aria-pressed:text-verdigris-deep"
                >
                  {family.name}
                  {family.own && <span className="text-soft"> own file</span>}
                </button>
              ))}
          </span>
        </div>
      ))}
    </div>
  );
}
