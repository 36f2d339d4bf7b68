import { useQuery } from '@tanstack/react-query';
import { fetchText } from '../../api/client';
import { Frame } from './Frame';

type Props = { piece: string; site: string; scale: number };

/** How a piece looks at a client's. */
export function Miniature({ piece, site, scale }: Props) {
  const html = useQuery({
    queryKey: ['piece-frame', piece, 'add', site],
    queryFn: () => fetchText(`/api/pieces/${piece}/frame?site=${site}`),
  });
  if (!html.data) return null;
  return (
    <Frame html={html.data} title="How it looks here" width={1280} screen={800} scale={scale} />
  );
}
