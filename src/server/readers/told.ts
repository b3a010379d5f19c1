import { withAmount } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import type { Executor } from '@/data/database';
import { toldSince } from '@/data/taps';
import type { ToldOfStep } from '@/session/skill/honesty';

/** Counts told and typed in since a day, each with the dose and the age it was counted under. */
export async function countsTold(
  db: Executor,
  since: string,
  bornIn: ReadonlyMap<string, number>,
): Promise<ToldOfStep[]> {
  const rows = await toldSince(db, since);
  return rows.flatMap(([playerId, drillId, stepId, day, result, blockId, home, dose, amount]) => {
    const born = bornIn.get(playerId);
    // Whoever left the squad is nobody's to talk to.
    if (born === undefined) return [];
    return {
      playerId,
      drillId,
      stepId,
      result,
      blockId,
      dose: withAmount(JSON.parse(dose) as Dose, amount),
      home: home === 1,
      age: Number(day.slice(0, 4)) - born,
    };
  });
}
