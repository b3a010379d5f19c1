import { amountOf, withAmount } from './amount';
import type { Dose } from './dose';
import { doseFields } from './limits';

/** What is left of a dose when a player is breathless: ours. Six tenths is felt at once and still counts as the drill. */
export const breathlessShare = 0.6;

/**
 * A dose of the same shape with about `share` of its work; rests and walks stay as they are.
 * Never less than the smallest dose of its kind, so a shorter dose is still that drill.
 * @param share 0.1 to 2
 * @throws RangeError for any other share
 */
export function scaled(dose: Dose, share: number): Dose {
  if (!(share >= 0.1 && share <= 2)) throw new RangeError(`A share of a dose is 0.1 to 2, not ${share}.`);
  switch (dose.kind) {
    case 'timed':
      return { ...dose, workS: within('timed', 'workS', dose.workS * share) };
    case 'row': {
      // The cap shrinks with the target, because the cap is what a hard row really costs.
      const shorter = withAmount(dose, dose.target * share) as typeof dose;
      return { ...shorter, capS: within('row', 'capS', dose.capS * share) };
    }
    case 'growing':
      // Work grows with the square of the count, so the count shrinks with the root of the share.
      return withAmount(dose, dose.to * Math.sqrt(share));
    case 'routine':
      return {
        ...dose,
        parts: dose.parts.map((part) => ({ ...part, partS: Math.max(1, Math.round(part.partS * share)) })),
      };
    default:
      return withAmount(dose, amountOf(dose)! * share);
  }
}

/** What is left of one player's own amount, in a block whose dose is scaled: by the same rule. */
export const scaledAmount = (dose: Dose, amount: number, share: number): number =>
  amountOf(scaled(withAmount(dose, amount), share))!;

/** The dose of a player who is breathless: shorter, of the same shape. */
export const breathless = (dose: Dose): Dose => scaled(dose, breathlessShare);

function within(kind: Dose['kind'], name: string, value: number): number {
  const { min, max } = doseFields[kind].find((field) => field.name === name)!;
  return Math.min(max, Math.max(min, Math.round(value)));
}
