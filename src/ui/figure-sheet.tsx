'use client';

import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import type { Explanation } from '@/core/base/explain';
import { useUnits } from './units';

interface Props {
  readonly anchor: RefObject<HTMLElement | null>;
  readonly shown: Explanation | null;
  readonly onClose: () => void;
}

/** The sheet in which a computed number is opened, beside the number. */
export function FigureSheet({ anchor, shown, onClose }: Props) {
  return (
    <Popover.Root open={shown !== null} onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Popover.Anchor virtualRef={anchor as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          collisionPadding={12}
          sideOffset={6}
          aria-label={shown?.title}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            anchor.current?.focus();
          }}
          className="z-50 max-h-[70vh] w-[min(30rem,92vw)] overflow-y-auto rounded-md border-2 border-ink bg-sheet p-4"
        >
          {shown && <Sheet {...shown} />}
          <Popover.Close className="mt-3 min-h-11 rounded-md border-2 border-edge px-4 font-semibold hover:bg-chalk">
            Close
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Sheet({ title, value, formula, inputs, source }: Explanation) {
  const { say } = useUnits();
  return (
    <div>
      <h2 className="text-lg">
        {title}: <span className="tabular">{say(value)}</span>
      </h2>
      <p className="mt-2">{say(formula)}</p>
      <table className="mt-3 w-full border-t border-line text-left text-sm">
        <caption className="sr-only">What goes into {title}</caption>
        <tbody>
          {inputs.map((input, index) => (
            <tr key={index} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-3 font-semibold">
                {input.label}
              </th>
              <td className="tabular py-1 pr-3 font-semibold whitespace-nowrap">{say(input.value)}</td>
              <td className="py-1 text-soft">{input.from && say(input.from)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {source && <p className="mt-2 text-sm text-soft">Source: {source}</p>}
    </div>
  );
}
