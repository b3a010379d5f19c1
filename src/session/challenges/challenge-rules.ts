import { fitOf } from '@/core/players/fit';
import { stageFor } from '@/core/players/racket';
import { doseInWords } from '@/core/dose/dose';
import { ageBandOf } from '@/drills/base/age-band';
import type { Drill, Step, Sport } from '@/drills/base/types';

/** Somebody in a challenge, as old as they were when it began. */
export interface RuledPlayer {
  readonly age: number;
  readonly sport: Sport;
  /** The ball stage in their profile; null while it is open. */
  readonly stage: string | null;
}

/** What holds for players of some ages, so that everybody stands on the same ground. */
export interface AgeRule {
  readonly fromAge: number;
  readonly toAge: number;
  /** Ball, dose and distance: "red ball, 6 shots, from 2.3 m". */
  readonly words: string;
}

/** Ball, dose and distance for one player. */
function ruleFor(drill: Drill, step: Step, { age, sport, stage }: RuledPlayer): string {
  const hasBall = drill.kit.some(({ item }) => item === 'ball');
  const distanceM = drill.fit.includes('targetM')
    ? fitOf({ age, sport, heightCm: null, racketIn: null }).targetM.value
    : step.rally?.distanceM;
  return [
    hasBall && sport === 'tennis' && `${stage ?? stageFor(age)} ball`,
    doseInWords(step.doses[ageBandOf(age)]),
    distanceM !== undefined && `from ${Math.round(distanceM * 10) / 10} m`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** The rules by age of those who are in it, the youngest first; ages next to each other with the same rules are one line. */
export function rulesByAge(drill: Drill, step: Step, players: readonly RuledPlayer[]): AgeRule[] {
  const lines: { fromAge: number; toAge: number; words: string }[] = [];
  const said = new Set<string>();
  for (const player of [...players].sort((a, b) => a.age - b.age)) {
    const words = ruleFor(drill, step, player);
    const last = lines.at(-1);
    if (last?.words === words) last.toAge = player.age;
    else if (!said.has(`${player.age} ${words}`))
      lines.push({ fromAge: player.age, toAge: player.age, words });
    said.add(`${player.age} ${words}`);
  }
  return lines;
}
