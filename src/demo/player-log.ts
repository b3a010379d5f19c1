import type { Step, Zone } from '@/drills/base/types';
import type { EventKind } from '@/core/counting/event';
import { partInText } from '@/core/counting/weakest-part';
import { growingSum, routineStretches, stretchesARound, type Dose, type RoutineDose } from '@/core/dose/dose';
import { normal, wholeBetween, type Random } from '@/core/base/random';
import { usualTouchS } from '@/session/base/pace';
import { triesOf } from '@/session/plan/together';
import type { Character } from './people';

/** One mark an invented player makes: seconds from the block's start. */
export interface Mark {
  readonly atS: number;
  readonly kind: EventKind;
  readonly attempt: number;
  readonly value: number | null;
  /** The part of a routine it belongs to, where the weakest counts. */
  text?: string;
}

/** The chance that a touch is dropped, after so many sessions on this step; falls towards a floor. */
export function dropChance(character: Character, step: Step, practised: number, form: number): number {
  const usual = 1 - step.usualRate.value;
  const learning = 1.5 * Math.exp((-practised * character.pace) / 5) + 0.35;
  return Math.min(0.7, Math.max(0.004, usual * learning * character.drops * form));
}

/** What is done together and not counted: one mark when its time is over. */
export function wholeBlock(dose: Dose, step: Step): Mark {
  const tries = triesOf(step, dose);
  return { atS: Math.round(tries * step.perTouchS.value) + 5, kind: 'done', attempt: 1, value: tries };
}

/** What a player does in one block, mark by mark. */
export function playBlock(
  dose: Dose,
  step: Step,
  character: Character,
  drop: number,
  random: Random,
): Mark[] {
  const marks: Mark[] = [];
  const add = (atS: number, kind: EventKind, attempt: number, value: number | null = null) =>
    marks.push({ atS, kind, attempt, value });
  const parts = step.lapParts?.parts ?? 1;
  const beatS = usualTouchS(step, character.form.age) / parts;
  const beat = () => Math.max(0.25, normal(random, beatS, beatS * 0.12));
  const countInS = 3;

  /** Touches and drops until the time is up. */
  const keepGoing = (fromS: number, forS: number, attempt: number) => {
    let atS = fromS + beat();
    while (atS < fromS + forS) {
      if (random() < drop) {
        if (character.fudges !== 'deaf' || random() < 0.3) add(atS, 'drop', attempt);
        atS += step.dropCostS.value;
      } else {
        add(atS, 'touch', attempt, parts === 1 ? null : Math.round(10_000 / parts) / 10_000);
        if (character.fudges === 'double' && random() < 0.08) add(atS + 0.06, 'touch', attempt);
      }
      atS += beat();
    }
  };

  /** Part after part, each with its change before the next; touches say their part where the weakest counts. */
  const countRoutine = (routine: RoutineDose) => {
    const all = stretchesARound(routine);
    let fromS = countInS;
    for (const [index, { partS }] of routineStretches(routine).entries()) {
      const before = marks.length;
      keepGoing(fromS, partS, Math.floor(index / all) + 1);
      if (step.measure === 'weakest part')
        for (const mark of marks.slice(before)) mark.text = partInText((index % all) + 1, all);
      fromS += partS + routine.changeS;
    }
  };

  /** The better the hand, the nearer the first zone. */
  const zoneOf = (zones: readonly Zone[]): Zone | undefined => {
    const off = Math.abs(normal(random, 0, (0.35 + 1.25 * drop) * zones.length));
    return zones[Math.min(zones.length - 1, Math.floor(off))];
  };

  switch (dose.kind) {
    case 'row':
      keepGoing(countInS, dose.capS, 1);
      break;
    case 'timed':
      for (let round = 1; round <= dose.rounds; round++)
        keepGoing(countInS + (round - 1) * (dose.workS + dose.restS), dose.workS, round);
      break;
    case 'reps': {
      let atS = countInS;
      const zones = step.measure === 'grade' ? step.zones : undefined;
      for (let set = 1; set <= dose.sets * dose.sides; set++) {
        for (let rep = 0; rep < dose.reps; rep++) {
          atS += beat();
          if (zones) add(atS, 'grade', set, zoneOf(zones)?.points ?? 0);
          else add(atS, random() < drop ? 'drop' : 'touch', set);
        }
        atS += dose.restS;
      }
      break;
    }
    case 'hold':
      for (let hold = 1; hold <= dose.holds * dose.sides; hold++) {
        const atS = countInS + hold * (dose.holdS + dose.restS) - dose.restS;
        const lost = random() < drop;
        add(atS, lost ? 'drop' : 'hold', hold, lost ? wholeBetween(random, 1, dose.holdS - 1) : dose.holdS);
      }
      break;
    case 'shots': {
      const zones = step.zones ?? [];
      let atS = countInS;
      for (let shot = 0; shot < dose.shots; shot++) {
        atS += beat();
        add(atS, 'zone', 1, zoneOf(zones)?.points ?? 0);
      }
      break;
    }
    case 'course': {
      let atS = countInS;
      for (let round = 1; round <= dose.rounds; round++) {
        for (let lap = 0; lap < dose.laps; lap++) {
          const lapS = beat() * (1 + drop);
          atS += lapS;
          add(atS, 'lap', round, Math.round(lapS * 10) / 10);
        }
        atS += dose.restS;
      }
      break;
    }
    case 'growing':
    case 'routine': {
      if (dose.kind === 'routine' && dose.counted) {
        countRoutine(dose);
        break;
      }
      const tries =
        dose.kind === 'growing' ? dose.lines * growingSum(dose.to) : routineStretches(dose).length;
      let atS = countInS;
      for (let one = 0; one < tries; one++) {
        atS += beat();
        add(atS, random() < drop ? 'drop' : 'touch', 1);
      }
      break;
    }
  }
  return marks;
}
