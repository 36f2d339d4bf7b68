import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

type Props = {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
  widest?: boolean;
};

/** A sheet laid over the drawing board. */
export function Sheet({ open, onClose, title, children, wide = false, widest = false }: Props) {
  return (
    <Dialog open={open} onClose={onClose} className="fixed inset-0 z-40">
      <DialogBackdrop className="fixed inset-0 bg-ink/35" />
      <div className="fixed inset-0 overflow-y-auto p-6 grid place-items-center">
        <DialogPanel
          className={`bg-paper border border-ink w-full ${widest ? 'max-w-5xl' : wide ? 'max-w-3xl' : 'max-w-lg'} p-6`}
        >
          <DialogTitle className="text-lg border-b border-ink pb-2 mb-4">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
