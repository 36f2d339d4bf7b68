import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import type { Problem } from '../../api/client';
import { Mark } from '../../ui/States';
import type { DeviceKey } from '../engine/devices';
import type { AskedEdit, LadderView, NodeView, StyleView } from '../engine/source';
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
  'list-style-type',
];
const box = [
  'margin-top',
  'margin-right',
  'margin-bottom',
  'margin-left',
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
  /** All that is in hand. */
  nodes: readonly string[];
  device: DeviceKey;
  state: string;
  /** A part of the name of the settings to show; empty for all. */
  find: string;
  site: string;
  onEdit: (edit: AskedEdit) => Promise<Problem | undefined>;
  onPick: (node: string) => void;
};

/** The style settings of the thing in hand, in three groups; those most asked for first. */
export function StyleGroups({
  ladder,
  node,
  nodes,
  device,
  state,
  find,
  site,
  onEdit,
  onPick,
}: Props) {
  const pick = (keys: readonly string[]) =>
    keys.flatMap((key) => ladder.styles.find((style) => style.property === key) ?? []);
  const rest = ladder.styles.filter((s) => !type.includes(s.property) && !box.includes(s.property));
  const isElement = !['section', 'row', 'column', 'page', 'box'].includes(node.kind);
  const groups = [
    { title: 'Type', styles: pick(type), open: isElement },
    { title: 'Box', styles: pick(box), open: ['section', 'button', 'box'].includes(node.kind) },
    { title: 'Size and place', styles: rest, open: node.kind === 'row' || node.kind === 'column' },
  ];
  const rows = (styles: readonly StyleView[]) =>
    styles.map((style) => (
      <StyleRow
        key={`${nodes.join(' ')} ${style.property} ${device} ${state}`}
        style={style}
        node={node}
        nodes={nodes}
        device={device}
        state={state}
        site={site}
        tokens={ladder.tokens}
        onEdit={onEdit}
        onPick={onPick}
      />
    ));
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length > 0) {
    const found = ladder.styles.filter((style) =>
      words.every((word) => style.label.toLowerCase().includes(word)),
    );
    return (
      <div className="mt-1 border-t border-hair pt-1">
        {rows(found)}
        {found.length === 0 && (
          <p className="text-soft text-[12.5px]">No setting here goes by that name.</p>
        )}
      </div>
    );
  }
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
              {rows(group.styles)}
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
