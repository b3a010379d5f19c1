import { Hand, Info, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Severity, Warning } from '@/core/care/care';
import { originInWords } from '@/core/base/origin';
import { cx } from './class-names';
import { Said } from './units';

const looks: Readonly<
  Record<Severity, { readonly word: string; readonly look: string; readonly icon: typeof Info }>
> = {
  stop: { word: 'Stop', look: 'bg-stop-bg text-stop', icon: Hand },
  caution: { word: 'Care', look: 'bg-care-bg text-care', icon: TriangleAlert },
  note: { word: 'Note', look: 'bg-chalk text-ink', icon: Info },
};

/** One warning: how grave, what, from where, and what can be done about it. */
export function CareLine({ warning, children }: { warning: Warning; children?: ReactNode }) {
  const { word, look, icon: Icon } = looks[warning.severity];
  const source = originInWords({ origin: warning.origin, note: warning.source });
  return (
    <li
      className="flex items-start gap-2 border-b border-line py-1.5 text-sm last:border-0"
      data-rule={warning.rule}
    >
      <span
        className={cx('mt-0.5 inline-flex shrink-0 items-center gap-1 rounded-sm px-1.5 font-bold', look)}
      >
        <Icon aria-hidden size={14} /> {word}
      </span>
      <span className="min-w-0 flex-1">
        <Said>{warning.text}</Said>{' '}
        <span className="text-soft">
          ({warning.rule}; {source})
        </span>
        {children && <span className="mt-1 block">{children}</span>}
      </span>
    </li>
  );
}
