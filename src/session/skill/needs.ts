import { resultInWords, type Measure } from '@/core/counting/measure';
import { findingInWords, type Doubt, type Finding } from '@/core/skill/honest';
import type { FourSchools, Odds } from '@/core/skill/four-schools';
import { counted, percent } from '@/core/base/words';
import { changeWords } from './progress-words';
import type { StepProgress } from './progress';

/** Why a coach should look at somebody, the most pressing first. */
export const needKinds = [
  'sliding',
  'back after a break',
  'few touches',
  'stuck',
  'ready to move',
  'close to a best',
  'much of one thing',
  'counting',
] as const;
export type NeedKind = (typeof needKinds)[number];

export interface Need {
  readonly playerId: string;
  readonly kind: NeedKind;
  readonly sentence: string;
  /** The ladder it is about; null where it is about all of them. */
  readonly drillId: string | null;
  /** What was found in the counts, where it is about them. */
  readonly doubt?: Doubt;
  /** The blocks that have most of it. */
  readonly blockIds?: readonly string[];
}

/** A ladder as far as needs are read from it. */
export interface NeedLadder {
  readonly drillId: string;
  readonly title: string;
  readonly stepTitle: string;
  readonly measure: Measure;
  readonly odds: Odds | null;
  readonly progress: StepProgress | null;
  readonly schools: FourSchools;
  readonly nextBest: { readonly result: number; readonly chance: number } | null;
}

export interface NeedPlayer {
  readonly id: string;
  readonly ladders: readonly NeedLadder[];
  /** Sessions they were at, touches and families of them in the last four weeks. */
  readonly sessions: number;
  readonly touches: number;
  readonly families: Readonly<Record<string, number>>;
  /** Days since the last counts; null where there were none. */
  readonly daysAway: number | null;
  readonly findings: readonly (Finding & { readonly blockIds: readonly string[] })[];
}

/** Under so much of the middle of the squad, a player gets few touches. Ours. */
const fewShare = 0.6;
/** A break is longer than this, days; longer than the second it is an absence, not a break. Ours. */
const [breakFrom, breakUntil] = [10, 60];
/** A best is close from this chance on. Ours. */
const close = 0.5;
/** More than this of all touches in one family is much of one thing. Ours. */
const much = 0.6;
/** Fewer touches than this say nothing of shares. Ours. */
const enoughTouches = 200;

/** Who needs the coach, and why: one sentence each, of a kind one for each player. */
export function needsOf(players: readonly NeedPlayer[]): Need[] {
  const perSession = players
    .filter(({ sessions }) => sessions > 0)
    .map(({ touches, sessions }) => touches / sessions)
    .sort((a, b) => a - b);
  const middle = perSession[Math.floor(perSession.length / 2)] ?? 0;
  const needs = players.flatMap((player) => needsOfOne(player, middle));
  return needs.sort((a, b) => needKinds.indexOf(a.kind) - needKinds.indexOf(b.kind));
}

function needsOfOne(player: NeedPlayer, middle: number): Need[] {
  const { id: playerId, ladders, sessions, touches, families, daysAway, findings } = player;
  const needs: Need[] = [];
  const say = (kind: NeedKind, sentence: string, drillId: string | null = null) =>
    needs.push({ playerId, kind, sentence, drillId });
  const named = ({ title, stepTitle }: NeedLadder) => `${title} (${stepTitle})`;
  const more = (n: number) => (n > 1 ? ` And ${counted(n - 1, 'more ladder')}.` : '');

  const changed = (kind: 'slide' | 'plateau') =>
    ladders.filter(({ progress }) => progress?.change?.kind === kind && !progress.passed);
  const [slides, plateaus] = [changed('slide'), changed('plateau')];
  if (slides[0])
    say(
      'sliding',
      `${named(slides[0])}: ${changeWords(slides[0].progress!)!.toLowerCase()}${more(slides.length)}`,
      slides[0].drillId,
    );
  if (daysAway !== null && daysAway > breakFrom && daysAway <= breakUntil)
    say(
      'back after a break',
      `Not counted for ${counted(daysAway, 'day')}: begin a step lower or with a smaller dose; ranges are wide again.`,
    );
  if (sessions > 0 && middle > 0 && touches / sessions < fewShare * middle)
    say(
      'few touches',
      `${Math.round(touches / sessions)} touches a session in four weeks; the middle of the squad has ${Math.round(middle)}.`,
    );
  if (plateaus[0])
    say(
      'stuck',
      `${named(plateaus[0])}: ${changeWords(plateaus[0].progress!)!.toLowerCase()}${more(plateaus.length)}`,
      plateaus[0].drillId,
    );
  const ready = ladders.filter(({ schools }) => schools.byDefault.verdict === 'up');
  if (ready[0])
    say(
      'ready to move',
      `${named(ready[0])}: ${ready[0].schools.byDefault.reason}${more(ready.length)}`,
      ready[0].drillId,
    );
  const near = ladders
    .filter(({ nextBest, odds }) => nextBest && nextBest.chance >= close && odds && odds.days > 2)
    .sort((a, b) => b.nextBest!.chance - a.nextBest!.chance);
  if (near[0])
    say(
      'close to a best',
      `${named(near[0])}: ${resultInWords(near[0].measure, near[0].nextBest!.result)} would be a new best, and comes on ${percent(near[0].nextBest!.chance)} of days.${more(near.length)}`,
      near[0].drillId,
    );
  const most = Object.entries(families).sort(([, a], [, b]) => b - a)[0];
  if (most && touches >= enoughTouches && most[1] > much * touches)
    say('much of one thing', `${percent(most[1] / touches)} of all touches in four weeks were ${most[0]}.`);
  for (const finding of findings)
    needs.push({
      playerId,
      kind: 'counting',
      sentence: findingInWords(finding),
      drillId: null,
      doubt: finding.doubt,
      blockIds: finding.blockIds,
    });
  return needs;
}
