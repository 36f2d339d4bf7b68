import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { when } from '../../ui/count';

/** A one-time code, to be handed on; it is not shown again. */
export function GivenCode({ given }: { given: Schemas['CodeView'] }) {
  const [copied, setCopied] = useState(false);
  return (
    <div role="status" className="mt-6 border-l-4 border-verdigris bg-verdigris-tint p-4">
      <p>
        Give <b>{given.name}</b> this code. It serves once, until {when(given.until)}, on the
        sign-in page under “I was given a one-time code”. It is not shown again.
      </p>
      <p className="mt-2 flex items-center gap-4">
        <code className="font-mono text-xl tracking-wide select-all">{given.code}</code>
        <Button
          onClick={() => {
            void navigator.clipboard.writeText(given.code).then(() => {
              setCopied(true);
            });
          }}
        >
          {copied ? 'Copied' : 'Copy'}
        </Button>
      </p>
    </div>
  );
}
