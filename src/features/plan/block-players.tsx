'use client';

import { Link } from '@/ui/link';
import type { Book } from '@/drills';
import { goalsOf, type Goals } from '@/session/base/goals';
import { ageIn } from '@/session/base/held';
import { sameShape, workOf, type OwnWork, type PlanBlock } from '@/session/base/plan';
import { amountLimits, amountOf } from '@/core/dose/amount';
import { resultInWords, type Measure } from '@/core/counting/measure';
import type { DosePart } from '@/core/explanations/dose';
import type { BlockTime } from '@/core/plan/block-time';
import { inMinutes } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import { Figure } from '@/ui/figure';
import { SmallNumber } from './small-number';

interface Props {
  readonly book: Book;
  readonly block: PlanBlock;
  readonly time: BlockTime;
  readonly players: readonly PlayerFacts[];
  readonly held: boolean;
  readonly targetOf: (playerId: string, stepId: string) => number | undefined;
  readonly partOf: (player: PlayerFacts) => DosePart;
  readonly onOwn: (playerId: string, own: Partial<OwnWork>) => void;
}

/** Each player in a block: their own step, their own amount, and what it gives them. */
export function BlockPlayers({ book, block, time, players, held, targetOf, partOf, onOwn }: Props) {
  return (
    <div className="@container">
      <table className="w-full text-left text-sm @max-xl:block">
        <caption className="sr-only">Each player’s own part in this block</caption>
        <thead className="@max-xl:sr-only">
          <tr className="border-b-2 border-line">
            <th scope="col">Player</th>
            <th scope="col">Own step</th>
            <th scope="col">Amount</th>
            <th scope="col">Touches</th>
            <th scope="col">Out</th>
          </tr>
        </thead>
        <tbody className="@max-xl:block">
          {players.map((player) => {
            const { drill, step, dose, out } = workOf(book, block, player.id)!;
            const shared = drill.steps.find((one) => one.id === block.stepId)!;
            // What was typed, before any change is put on the block.
            const own = block.own.find((one) => one.playerId === player.id);
            const amount = amountOf(dose) === null ? null : (own?.amount ?? amountOf(block.dose));
            const touches = time.touchesOf[player.id] ?? 0;
            const waitS = time.waitOf[player.id] ?? 0;
            const goals = goalsOf({ step, dose }, ageIn(block, player), targetOf(player.id, step.id));
            return (
              <tr
                key={player.id}
                className="border-b border-line @max-xl:grid @max-xl:grid-cols-[1fr_auto] @max-xl:items-center @max-xl:gap-x-3 @max-xl:py-1"
              >
                <th scope="row" className="py-1 pr-2 font-semibold @xl:max-w-32">
                  {player.name}{' '}
                  <Link
                    href={`/vows/new?player=${player.id}&drill=${drill.id}&step=${step.id}`}
                    aria-label={`Make a vow with ${player.name}`}
                    className="hit font-normal text-soft underline underline-offset-4"
                  >
                    vow
                  </Link>
                </th>
                <td className="pr-2 @max-xl:order-last @max-xl:col-span-2">
                  <select
                    aria-label={`Own step of ${player.name}`}
                    value={step.id}
                    disabled={held || out}
                    onChange={(event) => onOwn(player.id, { stepId: event.target.value })}
                    className="min-h-8 touch:min-h-11 w-full rounded-md @xl:max-w-44 border-2 border-edge bg-sheet px-1"
                  >
                    {drill.steps
                      .filter((one) => sameShape(one, shared))
                      .map((one) => (
                        <option key={one.id} value={one.id}>
                          {drill.steps.indexOf(one) + 1}. {one.title}
                        </option>
                      ))}
                  </select>
                </td>
                <td className="tabular pr-2 whitespace-nowrap">
                  {out && '–'}
                  {!out && amount === null && 'shared'}
                  {!out && amount !== null && held && amount}
                  {!out && amount !== null && !held && (
                    <SmallNumber
                      key={block.id}
                      name={`Amount of ${player.name}`}
                      value={amount}
                      {...amountLimits(block.dose)!}
                      onChange={(next) => onOwn(player.id, { amount: next })}
                    />
                  )}
                  {!out && <Aim measure={step.measure} goals={goals} />}
                </td>
                <td className="pr-2 whitespace-nowrap @max-xl:pl-4">
                  {out ? (
                    '–'
                  ) : (
                    <Figure
                      className="z-1"
                      label={`${player.name}: about ${Math.round(touches)} touches`}
                      explain={async () =>
                        (await import('@/core/explanations/dose')).explainBlockTouches(
                          partOf(player),
                          touches,
                          time.workOf[player.id],
                          time.visitsOf?.[player.id],
                        )
                      }
                    >
                      {Math.round(touches)}
                    </Figure>
                  )}
                  {waitS >= 1 && <span className="text-soft"> · waits {inMinutes(waitS)}</span>}
                </td>
                <td>
                  <label className="flex min-h-8 min-w-8 items-center touch:min-h-11 touch:min-w-11">
                    <input
                      type="checkbox"
                      aria-label={`${player.name} sits this block out`}
                      checked={out}
                      disabled={held}
                      onChange={() => onOwn(player.id, { out: !out })}
                      className="size-5 accent-[var(--now)]"
                    />
                  </label>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** What to reach today, and whether it can pass the step. */
function Aim({
  measure,
  goals: { aim, mark, tooShort },
}: {
  readonly measure: Measure;
  readonly goals: Goals;
}) {
  return (
    <>
      <span className="text-soft"> · aims at {resultInWords(measure, aim)}</span>
      {tooShort && (
        <span className="block font-semibold text-care">
          too short to pass today: the mark is {resultInWords(measure, mark.result)}
        </span>
      )}
    </>
  );
}
