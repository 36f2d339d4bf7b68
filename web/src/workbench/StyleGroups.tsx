import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import type { Problem } from '../api/client';
import { Mark } from '../ui/States';
import type { DeviceKey } from './devices';
import type { EditBody, LadderView, NodeView, StyleView } from './source';
import { StyleRow } from './StyleRow';

const type = [
  'font-size',
  'color',
  'font-family',
  'font-weight',
  'line-height',
  'letter-spacing',
  'text-transform',
  'text-align',
];
const box = [
  'padding-top',
  'padding-right',
  'padding-bottom',
  'padding-left',
  'background-color',
  'overlay-color',
  'background-gradient',
  'border-radius',
  'border',
  'box-shadow',
  'border-top-width',
  'border-top-color',
];

type Props = {
  ladder: LadderView;
  node: NodeView;
  device: DeviceKey;
  state: string;
  site: string;
  onEdit: (edit: EditBody) => Promise<Problem | undefined>;
  onPick: (node: string) => void;
};

/** The style settings of the thing in hand, in three groups; those most asked for first. */
export function StyleGroups({ ladder, node, device, state, site, onEdit, onPick }: Props) {
  const pick = (keys: readonly string[]) =>
    keys.flatMap((key) => ladder.styles.find((style) => style.property === key) ?? []);
  const rest = ladder.styles.filter((s) => !type.includes(s.property) && !box.includes(s.property));
  const isElement = !['section', 'row', 'column', 'page'].includes(node.kind);
  const groups = [
    { title: 'Type', styles: pick(type), open: isElement },
    { title: 'Box', styles: pick(box), open: node.kind === 'section' || node.kind === 'button' },
    { title: 'Size and place', styles: rest, open: node.kind === 'row' || node.kind === 'column' },
  ];
  return (
    <div className="mt-1">
      {groups.map(
        (group) =>
          group.styles.length > 0 && (
            <Group
              key={`${node.id} ${group.title}`}
              title={group.title}
              styles={group.styles}
              open={group.open}
            >
              {group.styles.map((style) => (
                <StyleRow
                  key={`${node.id} ${style.property} ${device} ${state}`}
                  style={style}
                  node={node}
                  device={device}
                  state={state}
                  site={site}
                  tokens={ladder.tokens}
                  onEdit={onEdit}
                  onPick={onPick}
                />
              ))}
            </Group>
          ),
      )}
    </div>
  );
}

type GroupProps = {
  title: string;
  styles: readonly StyleView[];
  open: boolean;
  children: React.ReactNode;
};

function Group({ title, styles, open, children }: GroupProps) {
  const locals = styles.filter((style) => style.local).length;
  return (
    <Disclosure defaultOpen={open || locals > 0} as="div" className="border-t border-hair">
      <DisclosureButton className="group flex w-full items-center gap-1 py-1.5 text-[13px] font-semibold">
        <ChevronRight size={14} className="group-data-open:rotate-90" />
        {title}
        {locals > 0 && (
          <span className="ml-auto">
            <Mark tone="local">{locals} local</Mark>
          </span>
        )}
      </DisclosureButton>
      <DisclosurePanel className="pb-2">{children}</DisclosurePanel>
    </Disclosure>
  );
}
