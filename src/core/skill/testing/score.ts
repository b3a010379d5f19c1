import { assumptions } from '../level/assumptions';
import { alone, type Evidence } from '../level/evidence';
import type { Dated, Followed } from '../level/follow';
import { updated } from '../level/update';

/**
 * How much better each day was foreseen than by the mean of all days before, and than by the day before, in nats a day.
 * Both rivals know how sure they are, and how days scatter. The first two days are left out.
 */
export function gainsOver(
  followed: Followed,
  dated: readonly Dated[],
): { mean: number; last: number; days: number } {
  let [mean, last, days] = [0, 0, 0];
  let pooled: Evidence = dated[0]!.evidence;
  for (let i = 1; i < dated.length; i++) {
    const { evidence } = dated[i]!;
    const { form } = assumptions[evidence.kind];
    if (i > 1) {
      const scored = (from: Evidence, scatter: number) => {
        const { mean: at, variance } = alone(from);
        return updated({ mean: at, variance: variance + scatter * form ** 2 }, evidence).logChance;
      };
      mean += followed.logChance[i]! - scored(pooled, 1 + 1 / i);
      last += followed.logChance[i]! - scored(dated[i - 1]!.evidence, 2);
      days += 1;
    }
    pooled = { ...pooled, sum: pooled.sum + evidence.sum, of: pooled.of + evidence.of };
  }
  return { mean, last, days };
}
