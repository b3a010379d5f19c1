import type { ReactNode } from 'react';
import { resultInWords } from '@/core/counting/measure';
import { counted, inThousands } from '@/core/base/words';
import { PrintButton } from '@/features/plan/paper/print-button';
import type { Family } from '@/drills/base/types';
import type { FamilyView } from '@/server/views/family';
import { ButtonLink } from '@/ui/button-link';
import { longDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';

/** Families of drills, as parents would call them. */
const familyWords: Readonly<Record<Family, string>> = {
  loosen: 'loosening up',
  feet: 'footwork',
  hands: 'hands and catching',
  touch: 'ball on the racket',
  'serve base': 'towards the serve',
  wall: 'wall rally',
  stroke: 'strokes',
  games: 'games',
};

/** One printable page for a family: what was practised, what got better, what is next. */
export function FamilyPage({ view }: { readonly view: FamilyView }) {
  const { player, sessions, touches, families, movedUp, better, next } = view;
  const whole = (n: number) => Math.max(1, Math.round(n));
  return (
    <>
      <PageHead
        title={`How ${player.name} is getting on`}
        actions={
          <>
            <ButtonLink href={`/players/${player.id}/progress`}>Back</ButtonLink>
            <PrintButton />
          </>
        }
      >
        From {longDay(view.fromDay)} to {longDay(view.today)}
      </PageHead>
      <div className="max-w-3xl space-y-3">
        <Part title="What was practised">
          <p>
            {counted(sessions, 'session')}, {counted(touches, 'touch', 'touches')}.
          </p>
          <ul className="mt-1 flex flex-wrap gap-x-6">
            {families.map(([family, count]) => (
              <li key={family}>
                <strong className="tabular">{inThousands(count)}</strong> {familyWords[family]}
              </li>
            ))}
          </ul>
        </Part>
        <Part title="What got better">
          <ul className="space-y-1">
            {movedUp.map(({ drill, step }) => (
              <li key={`${drill} ${step}`}>
                A step up in <strong>{drill}</strong>: now on “{step}”.
              </li>
            ))}
            {better.map(({ drill, step, measure, was, is }) => (
              <li key={`${drill} ${step} better`}>
                <strong>{drill}</strong>, {step}: a good day brings about {resultInWords(measure, whole(is))};
                it began with {whole(was)}.
              </li>
            ))}
          </ul>
          {movedUp.length + better.length === 0 && <p>The first weeks are for beginning: this grows.</p>}
        </Part>
        <Part title="What is next">
          {player.focus && (
            <p className="mb-1">
              Working on: <strong>{player.focus}</strong>
            </p>
          )}
          <ul className="space-y-1">
            {next.map(({ drill, step, measure, mark, likely }) => (
              <li key={`${drill} ${step}`}>
                <strong>{drill}</strong>, {step}: {resultInWords(measure, mark)}
                {likely && `, perhaps about ${longDay(likely)}`}.
              </li>
            ))}
          </ul>
          {next.length === 0 && <p>The coach says what comes next.</p>}
        </Part>
      </div>
    </>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Sheet className="break-inside-avoid p-4" aria-label={title}>
      <h2 className="mb-1 text-xl">{title}</h2>
      {children}
    </Sheet>
  );
}
