import { Link } from '@/ui/link';
import { handM, clapRate, tossForClaps } from '@/core/ballistics/tap/toss';
import { inMetres } from '@/core/explanations/wall';
import { heightOf } from '@/core/players/growth';
import { counted } from '@/core/base/words';
import { knownSequences } from '@/drills/sequences';
import type { Step } from '@/drills/base/types';
import type { PlayerFacts } from '@/server/views/facts';

/** Clear height above the top of a toss, metres: ours. */
const roomOverM = 0.2;

/** What some steps have besides their dose: claps under a toss, parts of a routine, a habit, what is noted beside a mark. */
export function OfThisStep({ drillId, step, player }: { drillId: string; step: Step; player?: PlayerFacts }) {
  const known = knownSequences.find(({ of }) => of?.drillId === drillId && of.stepId === step.id);
  const dose = step.doses['13-16'];
  return (
    <div className="mt-2 space-y-1 text-sm empty:hidden">
      {step.claps !== undefined && player && <ClapToss claps={step.claps} player={player} />}
      {dose.kind === 'routine' && (
        <ol aria-label="Parts of the routine" className="flex flex-wrap gap-x-4">
          {dose.parts.map(({ name, partS, sides, of }, index) => (
            <li key={index}>
              <span className="tabular text-soft">{index + 1}.</span>{' '}
              {of ? (
                <Link href={`/drills/${of.split('/')[0]}`} className="underline underline-offset-4">
                  {name}
                </Link>
              ) : (
                name
              )}{' '}
              <span className="text-soft">
                {partS} s{sides === 2 && ' each side'}
              </span>
            </li>
          ))}
        </ol>
      )}
      {step.lapParts && (
        <p>
          A lap has {step.lapParts.parts} parts: every {step.lapParts.noun} is one press.
        </p>
      )}
      {step.beside && (
        <p>
          Noted beside a mark, when you like: {step.beside.question.toLowerCase()} (
          {step.beside.answers.join(', ')}).
        </p>
      )}
      {known && (
        <p>
          As a sequence: {known.line}.{' '}
          <Link
            href={`/drills/sequences?${new URLSearchParams({ of: known.id, player: player?.id ?? '' })}`}
            className="font-semibold underline underline-offset-4"
          >
            See its feet and its tempo
          </Link>
        </p>
      )}
      {step.habit && (
        <p>
          About {step.habit.reps.toLocaleString('en')} repetitions make a habit: every one counts, and moving
          on is your word.
        </p>
      )}
    </div>
  );
}

/** How high the ball has to go for this child, who claps as fast as their age does. */
function ClapToss({ claps, player }: { claps: number; player: PlayerFacts }) {
  const rate = clapRate(player.age);
  const { heightM } = tossForClaps('yellow', claps, rate);
  const clearM = handM(heightOf(player.age, player.heightCm).valueM) + heightM + roomOverM;
  return (
    <p data-toss>
      <span className="text-soft">Toss for {counted(claps, 'clap')}:</span>{' '}
      <span className="font-semibold">{inMetres(heightM, 1)}</span> over the hand, at {rate.toFixed(1)} claps
      a second ({player.age} years); the ceiling must leave {inMetres(clearM, 1)}.
    </p>
  );
}
