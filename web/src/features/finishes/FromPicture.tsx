import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Table } from './table';

type Props = { table: Table; site: string; onTake: (css: string) => void };

/** Colours out of a picture: its palette, or the one at a point. */
export function FromPicture({ table, site, onTake }: Props) {
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState('');
  const pictures = useQuery({
    queryKey: ['pictures', 'at-hand', site],
    queryFn: () => answer(api.GET('/api/pictures/at-hand', { params: { query: { site } } })),
    enabled: open,
  });
  const logo = table.sites.find((s) => s.id === site)?.logo ?? '';
  const picture = chosen || logo || (pictures.data?.[0]?.id ?? '');
  if (!open) {
    return (
      <span>
        <Button
          look="quiet"
          onClick={() => {
            setOpen(true);
          }}
        >
          Pick from a picture
        </Button>
      </span>
    );
  }
  return (
    <div
      role="group"
      aria-label="Pick from a picture"
      className="grid gap-1.5 border-l-[3px] border-line pl-2"
    >
      <select
        aria-label="Picture"
        value={picture}
        onChange={(e) => {
          setChosen(e.target.value);
        }}
        className="border border-line bg-sheet px-1.5 py-1 rounded-[2px]"
      >
        {pictures.data?.map((p) => (
          <option key={p.id} value={p.id}>
            {p.fileName}
          </option>
        ))}
      </select>
      {picture && <PaletteOf key={picture} picture={picture} onTake={onTake} />}
    </div>
  );
}

type PaletteProps = { picture: string; onTake: (css: string) => void };

export function PaletteOf({ picture, onTake }: PaletteProps) {
  const path = { id: picture };
  const palette = useQuery({
    queryKey: ['palette', picture],
    queryFn: () => answer(api.GET('/api/pictures/{id}/palette', { params: { path } })),
    staleTime: Infinity,
  });
  const sample = async (x: number, y: number) => {
    const swatch = await answer(
      api.GET('/api/pictures/{id}/colour', { params: { path, query: { x, y } } }),
    );
    onTake(swatch.css);
  };
  return (
    <div className="flex gap-2 items-start">
      <img
        src={`/api/pictures/${picture}/file`}
        alt="Click a point to take its colour"
        className="w-36 max-h-24 object-contain object-left-top cursor-crosshair self-start border border-line"
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          void sample((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
        }}
      />
      <ul aria-label="Palette of the picture" className="flex flex-wrap gap-1">
        {palette.data?.map((swatch) => (
          <li key={swatch.css}>
            <button
              type="button"
              title={`${swatch.css}, ${Math.round(swatch.share * 100)} %`}
              aria-label={`Take ${swatch.css}`}
              onClick={() => {
                onTake(swatch.css);
              }}
              className="block size-7 border border-line hover:outline hover:outline-2 hover:outline-ink"
              style={{ background: swatch.css }}
            />
          </li>
        ))}
        {palette.error && <li className="text-brick">{palette.error.message}</li>}
      </ul>
    </div>
  );
}
