import { catalogue, type BookContents } from '@/drills';
import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { bookContents } from '../readers/book';
import type { Held } from '@/session/base/held';
import type { Context } from '../base/context';
import { linkState, type LinkState, type OpenLink } from '../court/helper-links';
import type { PlayerFacts } from '../readers/player-facts';
import { sessionRunView, type RunBlock, type SessionRunView } from './session-run';

/** A child as a helper sees them: enough to count, and nothing a coach has noted. */
export interface HelpedPlayer extends Pick<PlayerFacts, 'id' | 'name' | 'age' | 'sport' | 'hand' | 'stage'> {
  /** The number they are counted by, the same on every screen. */
  readonly number: number;
}

/** What a helper's page is given: written out, so that nothing comes along because somebody added it elsewhere. */
export interface HelperView extends Pick<SessionRunView, 'logEnd' | 'build'> {
  readonly session: { readonly id: string; readonly coach: string; readonly revision: number };
  readonly players: readonly HelpedPlayer[];
  readonly blocks: readonly RunBlock[];
  readonly events: readonly TouchEvent[];
  readonly helper: {
    readonly token: string;
    readonly by: string;
    readonly sign: string;
  };
  /** The drills of this session under the schools that act there, and no others. */
  readonly contents: BookContents;
}

/**
 * Does a helper see an event? Counts of whom they count, and what the block's clock and dose are made of. What was remarked
 * about the child or the group stays with the coaches; a helper's own notes come back to them.
 */
export const seenByHelper =
  ({ playerIds, sign }: Pick<OpenLink, 'playerIds' | 'sign'>) =>
  ({ playerId, kind, device }: TouchEvent): boolean => {
    const { helperSeesOfBlock, helperSeesOfPlayer: seen } = ruleOf(kind);
    if (playerId === null) return helperSeesOfBlock;
    return playerIds.includes(playerId) && (seen === 'all' || (seen === 'own' && device.startsWith(sign)));
  };

/** An event without who made it, where that was somebody else. */
const unsigned =
  (sign: string) =>
  (event: TouchEvent): TouchEvent =>
    event.device.startsWith(sign) ? event : { ...event, by: null };

/** The view of an open link, or why it is closed. */
export async function helperView(context: Context, token: string): Promise<HelperView | LinkState> {
  const link = await linkState(context, token);
  if (link.kind !== 'open') return link;
  const view = await sessionRunView(context, link.sessionId);
  const counted = new Set(link.playerIds);
  const players = view?.players.filter((one) => counted.has(one.id)) ?? [];
  if (!view || players.length === 0) return { kind: 'unknown' };
  return {
    session: { id: view.session.id, coach: '', revision: view.session.revision },
    players: players.map((player) => {
      const { id, name, age, sport, hand, stage } = player;
      return { id, name, age, sport, hand, stage, number: player.number };
    }),
    blocks: view.blocks
      .filter((block) => link.blockId === null || block.id === link.blockId)
      .map((block) => helpedBlock(block, counted)),
    events: forHelper(link, view.events),
    logEnd: view.logEnd,
    build: view.build,
    helper: { token, by: link.by, sign: link.sign },
    contents: helpedContents(
      await bookContents(context.db),
      view.session.coach,
      new Set(view.blocks.map((block) => block.drillId)),
      counted,
    ),
  };
}

/** What a helper is given of a log. */
export const forHelper = (link: OpenLink, events: readonly TouchEvent[]): TouchEvent[] =>
  events.filter(seenByHelper(link)).map(unsigned(link.sign));

function helpedBlock(block: RunBlock, counted: ReadonlySet<string>): RunBlock {
  const { id, drillId, stepId, dose, changes, stations, breakS, retest, setting, scoring, held } = block;
  const { turns, turnS, atOnce, circuit = null } = block;
  return {
    id,
    drillId,
    stepId,
    dose,
    changes,
    stations,
    breakS,
    retest,
    setting,
    turns,
    turnS,
    atOnce,
    ...(scoring && { scoring }),
    ...(held && { held: helpedHeld(held, counted) }),
    // Which group they go with, and of the others nobody's name.
    circuit: circuit && {
      ...circuit,
      groups: circuit.groups.map((group) => group.filter((id) => counted.has(id))),
    },
    own: block.own.filter((one) => counted.has(one.playerId)),
    players: block.players.filter((one) => counted.has(one.playerId)),
  };
}

/** What a block was held under, as far as the counts of those children need it. */
function helpedHeld({ ladder, own, ages }: Held, counted: ReadonlySet<string>): Held {
  const theirs = <T>(all: Readonly<Record<string, T>>) =>
    Object.fromEntries(Object.entries(all).filter(([playerId]) => counted.has(playerId)));
  return {
    day: '',
    place: '',
    placeId: null,
    coach: '',
    ladder,
    own: theirs(own),
    ages: theirs(ages),
  };
}

/** The house's own drills that are run here, and the choices that act on them, signed by nobody. */
function helpedContents(
  { own: drills, choices }: BookContents,
  coach: string,
  drillIds: ReadonlySet<string>,
  counted: ReadonlySet<string>,
): BookContents {
  const named = new Set(
    choices.filter((one) => one.scope === 'coach' && one.key === coach).map((one) => one.question),
  );
  return {
    own: drills.filter((drill) => drillIds.has(drill.id) && !catalogue.some((one) => one.id === drill.id)),
    retired: [],
    choices: choices.flatMap((choice) => {
      if (choice.scope === 'drill') return drillIds.has(choice.key) ? [choice] : [];
      if (choice.scope === 'player') return counted.has(choice.key) ? [choice] : [];
      // The coach's own choice stands above everybody's; it is given as everybody's, without a name.
      const acts = choice.key === coach || (choice.key === '' && !named.has(choice.question));
      return acts ? [{ ...choice, key: '' }] : [];
    }),
  };
}
