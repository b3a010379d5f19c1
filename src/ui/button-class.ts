import { cx } from './class-names';

export type ButtonLook = 'now' | 'plain' | 'quiet' | 'stop';

const looks: Record<ButtonLook, string> = {
  now: 'bg-now text-on-now border-now hover:brightness-110',
  plain: 'bg-sheet text-ink border-edge hover:bg-chalk',
  quiet: 'bg-transparent text-ink border-transparent hover:bg-chalk',
  stop: 'bg-sheet text-stop border-stop hover:bg-stop-bg',
};

export function buttonClass(look: ButtonLook = 'plain', more?: string): string {
  return cx(
    'inline-flex min-h-11 items-center justify-center gap-2 rounded-md border-2 px-4 font-semibold',
    'disabled:opacity-50 disabled:cursor-not-allowed',
    looks[look],
    more,
  );
}
