import { CircleCheck, CircleSlash, Replace } from 'lucide-react';
import type { Fit } from '@/core/venues/fits';
import { cx } from './class-names';
import { Said } from './units';

const icons = { fits: CircleCheck, 'stand-in': Replace, no: CircleSlash } as const;
const looks = { fits: 'text-safe', 'stand-in': 'text-ink', no: 'text-stop' } as const;

/** Whether a drill can be done here with this kit, and why not. */
export function FitLine({ fit, className }: { fit: Fit; className?: string }) {
  const Icon = icons[fit.verdict];
  return (
    <p
      className={cx('flex items-start gap-1.5 text-sm font-semibold', looks[fit.verdict], className)}
      data-fit={fit.verdict}
    >
      <Icon aria-hidden size={16} className="mt-0.5 shrink-0" />
      <span className="first-letter:uppercase">
        <Said>{fit.text}</Said>
      </span>
    </p>
  );
}
