import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, leftOutWords, Problem, uploadPicture, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Failed, Loading } from '../../ui/States';
import { useWidth } from '../../ui/useWidth';
import { Frame } from '../../workbench/canvas/Frame';
import { inputClass } from '../../ui/inputClass';
import { useFonts } from '../finishes/FamilyEditor';
import { PaletteOf } from '../finishes/FromPicture';
import { Swatch } from '../finishes/Swatch';

type Brand = Schemas['BrandRequest'];

const empty: Brand = {
  name: '',
  logo: '',
  colours: ['#22343f', '#f3efe6', '#2d6f8e'],
  headingFont: 'Literata, Georgia, serif',
  bodyFont: 'Source Sans 3, Arial, sans-serif',
  width: 1120,
  set: '',
};

/** A new client from a short sheet: the roles are filled, and the specimen shows it at once. */
export function NewClientScreen() {
  const [brand, setBrand] = useState<Brand>(empty);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const tried = useBrand(brand);
  const sets = useReadySets();
  const change = (part: Partial<Brand>) => {
    setBrand({ ...brand, ...part });
  };
  const make = async () => {
    setBusy(true);
    try {
      const made = await answer(api.POST('/api/brands', { body: brand }));
      await queries.invalidateQueries();
      await navigate(`/finishes?look=${encodeURIComponent(made.siteId)}`);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'It was not made; try again.');
      setBusy(false);
    }
  };
  // What comes later would move the button while it is clicked.
  if (sets.error) return <Failed error={sets.error} retry={() => void sets.refetch()} />;
  if (!sets.data) return <Loading what="the ready sets" />;
  return (
    <main className="h-full grid grid-cols-[440px_minmax(0,1fr)]">
      <section
        aria-label="Start sheet"
        className="min-h-0 overflow-y-auto [scrollbar-width:thin] px-6 py-5 border-r border-line"
      >
        <h1 className="text-2xl border-b border-ink pb-2">A new client</h1>
        <form
          className="grid gap-4 mt-4"
          onSubmit={(e) => {
            e.preventDefault();
            void make();
          }}
        >
          <label>
            <span className="font-medium">Name</span>
            <input
              className={`${inputClass} mt-0.5`}
              value={brand.name}
              onChange={(e) => {
                change({ name: e.target.value });
              }}
            />
          </label>
          <ReadySets chosen={brand.set} change={change} />
          <Logo brand={brand} change={change} onProblem={setProblem} />
          <Colours brand={brand} change={change} />
          <Families brand={brand} change={change} />
          <label className="grid grid-cols-[130px_90px_auto] items-center gap-2">
            <span className="font-medium">Page width</span>
            <input
              type="number"
              className={inputClass}
              value={brand.width}
              onChange={(e) => {
                change({ width: Number(e.target.value) });
              }}
            />
            px
          </label>
          <div className="flex items-center gap-3">
            <Button look="main" type="submit" disabled={busy || brand.name.trim() === ''}>
              {brand.name.trim() ? `Start ${brand.name.trim()}` : 'Start this client'}
            </Button>
            {brand.name.trim() === '' && <span className="text-soft">Give it a name first.</span>}
          </div>
          {/* Below the button, which must not move while it is clicked. */}
          {(problem || tried?.problem) && (
            <p role="alert" className="text-brick">
              {problem || tried?.problem}
            </p>
          )}
        </form>
      </section>
      <section
        aria-label="Specimen of the brand"
        className="min-h-0 overflow-y-auto [scrollbar-width:thin] p-6 bg-board"
      >
        <Drawing html={tried?.html} />
      </section>
    </main>
  );
}

/** The specimen of a brand, a moment after the last stroke. */
function useBrand(brand: Brand) {
  const [tried, setTried] = useState<Schemas['BrandTried']>();
  const said = JSON.stringify(brand);
  useEffect(() => {
    let dropped = false;
    const timer = setTimeout(() => {
      void answer(api.POST('/api/brands/try', { body: JSON.parse(said) as Brand })).then(
        (result) => {
          if (!dropped) setTried(result);
        },
        () => undefined,
      );
    }, 60);
    return () => {
      dropped = true;
      clearTimeout(timer);
    };
  }, [said]);
  return tried;
}

function Drawing({ html }: { html: string | undefined }) {
  const [area, room] = useWidth<HTMLDivElement>();
  return (
    <div ref={area} className="outline outline-1 outline-line bg-sheet">
      {html !== undefined && room > 0 && (
        <Frame
          html={html}
          title="Specimen of the brand on a desktop"
          width={1280}
          screen={800}
          scale={room / 1280}
        />
      )}
    </div>
  );
}

type PartProps = { brand: Brand; change: (part: Partial<Brand>) => void };

function useReadySets() {
  return useQuery({
    queryKey: ['ready-sets'],
    queryFn: () => answer(api.GET('/api/brands/sets')),
    staleTime: Infinity,
  });
}

function ReadySets({ chosen, change }: { chosen: string; change: PartProps['change'] }) {
  const sets = useReadySets();
  return (
    <fieldset>
      <legend className="font-medium">Start from a ready set</legend>
      <div className="grid grid-cols-2 gap-2 mt-1">
        {sets.data?.map((set) => (
          <button
            key={set.id}
            type="button"
            aria-pressed={chosen === set.id}
            onClick={() => {
              const of = (role: string) => set.values[role] ?? '';
              change({
                set: set.id,
                colours: [of('color.text'), of('color.surface'), of('color.accent')],
                headingFont: of('font.heading'),
                bodyFont: of('font.body'),
              });
            }}
            className="text-left border border-line bg-sheet px-2 py-1.5 rounded-[2px] hover:border-ink aria-pressed:border-verdigris aria-pressed:outline aria-pressed:outline-1 aria-pressed:outline-verdigris"
          >
            <span className="flex items-center gap-1.5">
              <span className="font-medium">{set.name}</span>
              <span className="ml-auto flex">
                {['color.text', 'color.surface', 'color.accent'].map((role) => (
                  <Swatch key={role} css={set.values[role] ?? '#000000'} className="size-3.5" />
                ))}
              </span>
            </span>
            <span className="block text-soft text-[12.5px]">{set.words}</span>
          </button>
        ))}
      </div>
    </fieldset>
  );
}

function Logo({ brand, change, onProblem }: PartProps & { onProblem: (problem: string) => void }) {
  const bringIn = async (file: File | undefined) => {
    if (!file) return;
    onProblem('');
    try {
      const added = await uploadPicture('', file);
      const picture = added.picture;
      onProblem(leftOutWords(added));
      const palette = await answer(
        api.GET('/api/pictures/{id}/palette', { params: { path: { id: picture.id } } }),
      );
      change({
        logo: picture.id,
        set: '',
        colours: palette.length > 0 ? palette.slice(0, 3).map((s) => s.css) : brand.colours,
      });
    } catch (error) {
      onProblem(
        error instanceof Problem ? error.message : 'The logo could not be sent; try again.',
      );
    }
  };
  return (
    <div>
      <span className="font-medium">Logo</span>{' '}
      <span className="text-soft">its colours are taken over; PNG, JPEG or SVG</span>
      <input
        type="file"
        aria-label="Logo"
        accept="image/png,image/jpeg,image/svg+xml"
        className="block mt-1 text-[13px]"
        onChange={(e) => void bringIn(e.target.files?.[0])}
      />
      {brand.logo && (
        <div className="mt-2">
          <PaletteOf
            picture={brand.logo}
            onTake={(css) => {
              change({ colours: [css, ...brand.colours.filter((c) => c !== css)].slice(0, 3) });
            }}
          />
        </div>
      )}
    </div>
  );
}

function Colours({ brand, change }: PartProps) {
  return (
    <fieldset>
      <legend className="font-medium">
        Colours <span className="font-normal text-soft">up to three, in any order</span>
      </legend>
      <div className="grid grid-cols-3 gap-2 mt-1">
        {[0, 1, 2].map((i) => (
          <span key={i} className="relative">
            <span className="absolute left-1.5 top-1.5">
              <Swatch css={brand.colours[i] || 'transparent'} className="size-4" />
            </span>
            <input
              aria-label={`Colour ${i + 1}`}
              className={`${inputClass} pl-8`}
              value={brand.colours[i] ?? ''}
              onChange={(e) => {
                const colours = [0, 1, 2].map((j) =>
                  j === i ? e.target.value : (brand.colours[j] ?? ''),
                );
                change({ colours });
              }}
            />
          </span>
        ))}
      </div>
    </fieldset>
  );
}

function Families({ brand, change }: PartProps) {
  const id = useId();
  const fonts = useFonts('');
  const choice = (label: string, value: string, set: (stack: string) => void) => (
    <div className="grid grid-cols-[130px_minmax(0,1fr)] items-center gap-2">
      <label htmlFor={`${id} ${label}`} className="font-medium">
        {label}
      </label>
      <select
        id={`${id} ${label}`}
        className={inputClass}
        value={value}
        onChange={(e) => {
          set(e.target.value);
        }}
      >
        {!fonts.data?.families.some((f) => f.stack === value) && (
          <option value={value}>{value}</option>
        )}
        {fonts.data?.families.map((family) => (
          <option key={family.name} value={family.stack}>
            {family.name}, {family.type}
          </option>
        ))}
      </select>
    </div>
  );
  return (
    <div className="grid gap-2">
      {choice('Headings', brand.headingFont, (headingFont) => {
        change({ headingFont });
      })}
      {choice('Running text', brand.bodyFont, (bodyFont) => {
        change({ bodyFont });
      })}
    </div>
  );
}
