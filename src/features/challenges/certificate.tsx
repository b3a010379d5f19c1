import { resultInWords } from '@/core/counting/measure';
import { PrintButton } from '@/features/plan/paper/print-button';
import type { BoardView } from '@/server/views/challenges';
import { ButtonLink } from '@/ui/button-link';
import { longDay } from '@/ui/dates';

/** A certificate to print: what one player did, and nothing about anybody else. */
export function Certificate({ view, playerId }: { readonly view: BoardView; readonly playerId: string }) {
  const { challenge, board, names } = view;
  const line = board.lines.find((one) => one.playerId === playerId)!;
  return (
    <>
      <div className="mb-4 flex gap-2 print:hidden">
        <ButtonLink href={`/challenges/${challenge.id}`}>Back</ButtonLink>
        <PrintButton />
      </div>
      <article className="mx-auto max-w-3xl border-4 border-double border-ink bg-sheet p-10 text-center">
        <p className="text-soft">{challenge.title}</p>
        <h1 className="mt-4 text-5xl">{names[playerId]}</h1>
        <p className="mt-6 text-2xl">
          {line.result === null ? line.words : resultInWords(challenge.measure, line.result)}
        </p>
        <p className="mt-1 text-lg">
          {challenge.drill}: {challenge.step}
        </p>
        <p className="mt-4">
          {challenge.kind === 'level'
            ? 'More than could be expected: a step taken.'
            : challenge.kind === 'best'
              ? 'A new best of their own: a step taken.'
              : 'A part of what we did together.'}
        </p>
        <svg viewBox="0 0 240 60" className="mx-auto mt-8 w-60" aria-hidden>
          <path d="M10 54h44v-12h44v-12h44v-12h44V6h44" fill="none" stroke="var(--ink)" strokeWidth="3" />
          <circle cx="164" cy="10" r="7" fill="var(--now)" stroke="var(--ink)" strokeWidth="2" />
        </svg>
        <p className="mt-6 text-soft">
          {longDay(challenge.fromDay)} to {longDay(challenge.untilDay)}
        </p>
      </article>
    </>
  );
}
