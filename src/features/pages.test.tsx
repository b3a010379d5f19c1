import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { catalogue, makeBook, plainContents } from '@/drills';
import type { Warning } from '@/core/care/care';
import { demoScratch } from '@/demo/testing/demo-scratch';
import type { Context } from '@/server/base/context';
import { drillView, drillsView } from '@/server/views/drills';
import { placesView } from '@/server/views/places';
import { playerView } from '@/server/views/player';
import { schoolsView } from '@/server/views/schools';
import { sessionPlanView } from '@/server/views/session-plan';
import { sessionReviewView } from '@/server/views/session-review';
import { squadView } from '@/server/views/squad';
import { HouseProvider } from '@/ui/house';
import { todayView } from '@/server/views/today';
import { DrillForm } from './drills/drill-form';
import { DrillPage } from './drills/drill-page';
import { Drills } from './drills/drills';
import { Places } from './venues/places';
import { noFilter } from '@/core/base/filter';
import { ActingSchools } from './plan/acting-schools';
import { CareList } from './plan/care-panel';
import { DrillPicker } from './plan/drill-picker';
import { Plan } from './plan/plan';
import { FitTable } from './players/fit-sheet';
import { Schools } from './drills/styles/schools';
import { Standing } from './players/standing';
import { Review } from './skill/review';
import { SessionLines } from './plan/sessions/session-lines';
import { Squad } from './players/squad';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));
jest.mock('next/navigation', () => ({
  useRouter: () => ({}),
  useSearchParams: () => new URLSearchParams(),
}));

/* Screens drawn from the demo's own views: what a coach reads on them. */
let context: Context;
let close: () => void;
beforeAll(async () => {
  ({ context, close } = await demoScratch(2));
}, 60_000);
afterAll(() => close());

const words = (element: ReactElement) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** A screen with the drills that come with its page. */
const inHouse = (screen: ReactElement) => (
  <HouseProvider house={{ contents: plainContents, places: [], drills: catalogue }}>{screen}</HouseProvider>
);

test('squad: everybody, with care in full and touches that open', async () => {
  const view = await squadView(context);
  const html = renderToStaticMarkup(<Squad view={view} />);
  for (const player of view.players) {
    expect(html).toContain(player.name);
    expect(html).toContain(`/players/${player.id}`);
    expect(html).toContain(
      `${player.touches.toLocaleString('en-GB')} touches of ${player.name} in four weeks`,
    );
  }
  expect(words(<Squad view={view} />)).toContain('Care: Right wrist is healing');
});

test('an empty squad says what goes there', () => {
  expect(
    words(
      <Squad
        view={{
          players: [],
          takenOff: [],
          year: 2026,
          all: 0,
          filter: noFilter,
          choices: { places: [], coaches: [], weeks: [] },
        }}
      />,
    ),
  ).toContain('Press “Add a player” to begin.');
});

test('sessions lead to their plan, or to their review when they were held', async () => {
  const view = await todayView(context);
  const html = renderToStaticMarkup(
    <SessionLines today="2026-11-24" title="All" lines={[...view.next, ...view.last]} empty="" />,
  );
  for (const session of view.next) expect(html).toContain(`/sessions/${session.id}/plan`);
  for (const session of view.last) expect(html).toContain(`/sessions/${session.id}/review`);
  expect(words(<SessionLines today="2026-11-24" title="All" lines={[]} empty="Nothing yet." />)).toBe(
    'All Nothing yet.',
  );
});

test('a player stands on every ladder once, with the best and the mark of that step', async () => {
  const { players } = await squadView(context);
  const view = (await playerView(context, players[0]!.id))!;
  const html = renderToStaticMarkup(<Standing view={view} />);
  const drills = new Set(view.bests.map((best) => best.drillId));
  for (const drill of drills) expect(html.split(`?drill=${drill}"`)).toHaveLength(2);
  expect(html.match(/aria-current="true"/g)).toHaveLength(1);
});

test('a review proposes for everybody who was counted, and nothing is decided yet', async () => {
  const [held] = (await todayView(context)).last;
  const view = (await sessionReviewView(context, held!.id))!;
  const lines = view.blocks.flatMap((block) => block.lines);
  const html = renderToStaticMarkup(inHouse(<Review view={view} />));
  expect(html).toContain(`Accept ${lines.length} proposals`);
  const [first] = view.blocks;
  expect(html.match(/data-player=/g)).toHaveLength(first!.lines.length);
  for (const line of first!.lines)
    expect(html).toContain(line.schools.byDefault.reason.replaceAll("'", '&#x27;'));
  // One decision is chosen for each, and it is the proposed one.
  expect(html.match(/checked=""/g)).toHaveLength(first!.lines.length);
});

test('a review without counts says so', async () => {
  const planned = (await todayView(context)).sessions[0]!;
  const view = (await sessionReviewView(context, planned.id))!;
  expect(words(inHouse(<Review view={view} />))).toContain('Nothing was counted in this session yet.');
});

describe('drills, places and schools', () => {
  test('every drill is on the list with its minutes, its ages, and whether it fits', async () => {
    const view = await drillsView(context);
    const html = renderToStaticMarkup(<Drills view={view} />);
    for (const drill of catalogue) expect(html).toContain(`/drills/${drill.id}`);
    expect(html.match(/data-fit="/g)).toHaveLength(catalogue.length);
    expect(words(<Drills view={view} />)).toContain(`${catalogue.length} drills`);
  });

  test('a drill’s page: the ladder with who stands on it, the dose for a player, care and schools', async () => {
    const view = (await drillView(context, 'palm-up-bounce'))!;
    const text = words(<DrillPage view={view} />);
    expect(view.standing.length).toBeGreaterThan(5);
    for (const { playerId } of view.standing)
      expect(text).toContain(view.squad.find((player) => player.id === playerId)!.name);
    for (const step of catalogue.find((drill) => drill.id === 'palm-up-bounce')!.steps)
      expect(text).toContain(step.title);
    expect(text).toContain('Mark to pass');
    expect(text).toContain('Local rules and licensed practice come first.');
    expect(words(<DrillPage view={(await drillView(context, 'shadow-backhand'))!} />)).toContain('Take-back');
  });

  test('every drill’s page can be drawn, on every step of it', async () => {
    const base = (await drillView(context, 'carry'))!;
    for (const drill of catalogue) {
      const text = words(<DrillPage view={{ ...base, drillId: drill.id, standing: [], records: [] }} />);
      expect(text).toContain(drill.steps[0]!.task);
      expect(text).not.toMatch(/NaN|undefined|Infinity/);
    }
  });

  test('places are told with their size, and how many drills fit there', async () => {
    const text = words(<Places view={await placesView(context)} />);
    expect(text).toContain('24 x 7 m · 4.2 m clear · wood · 9 m of wall that may be hit · 2 tables');
    expect(text).toContain('under the sky');
    expect(text).toMatch(/With 4 players \d+ drills fit/);
    expect(words(<Places view={{ places: [], takenOff: [], kit: {} }} />)).toContain(
      'assumes that everything is there',
    );
  });

  test('schools say the default, its reason, and on how many drills they act', async () => {
    const text = words(<Schools view={await schoolsView(context)} />);
    expect(text).toContain('Default: two hands. Two hands while strength is short');
    expect(text).toContain('Ottilie Ferrow');
    expect(text).toContain('Acts on 2 drills.');
  });

  test('the form shows everything a drill has', () => {
    const html = renderToStaticMarkup(
      <DrillForm draftKey="drill-new-" drill={catalogue.find((drill) => drill.id === 'carry')!} id={null} />,
    );
    for (const label of [
      'Title',
      'Purpose',
      'Checkpoints',
      'Faults',
      'Kit',
      'Home challenge',
      'Step title',
      'Cue',
    ])
      expect(html).toContain(label);
    expect(html.match(/Dose of step/g)).toHaveLength(
      catalogue.find((drill) => drill.id === 'carry')!.steps.length,
    );
  });
});

describe('the plan screen', () => {
  const planView = async (title: string) => {
    const { sessions } = await todayView(context);
    return (await sessionPlanView(context, sessions.find((session) => session.title === title)!.id))!;
  };

  test('says how full the booking is, how it is shared out, who gets the fewest touches, and that it fits', async () => {
    const view = await planView('Wall and feet');
    const text = words(inHouse(<Plan view={view} />));
    expect(text).toMatch(/\d+½? of 30 min/);
    for (const phase of ['Loosen', 'Feet and hands', 'Racket and ball', 'Strokes', 'Game'])
      expect(text).toMatch(new RegExp(`${phase} (under )?\\d+\\s%\\s+of \\d+\\s% suggested`));
    expect(text).toMatch(/Fewest touches: [\w ]+, about \d+/);
    expect(text).toContain('fits');
    expect(text).toContain('Open with a retest: ');
    expect(text).not.toMatch(/NaN|undefined/);
  });

  test('each player has their own step, amount and touches in the block, and may sit it out', async () => {
    const view = await planView('Wall and feet');
    const html = renderToStaticMarkup(inHouse(<Plan view={view} />));
    for (const id of view.playerIds) {
      const { name } = view.squad.find((player) => player.id === id)!;
      expect(html).toContain(`aria-label="Own step of ${name}"`);
      expect(html).toContain(`aria-label="${name} sits this block out"`);
    }
    // The other group's players are not in it.
    const other = view.squad.find((player) => !view.playerIds.includes(player.id))!;
    expect(html).not.toContain(`Own step of ${other.name}`);
  });

  test('spices and easings of the drill can be pressed, and say what they do', async () => {
    const view = await planView('Table and wall');
    const html = renderToStaticMarkup(inHouse(<Plan view={view} />));
    const drill = catalogue.find((one) => one.id === view.blocks[0]!.drillId)!;
    for (const change of [...drill.spices, ...drill.easings]) expect(html).toContain(`>${change}</button>`);
    expect(html).toContain('Do it slowly enough to be right. easier, slower, 80 % of the dose.');
  });

  test('the picker says of every drill whether it fits the place of the session', async () => {
    const view = await planView('Table and wall');
    const home = view.grounds.find((ground) => ground.name.startsWith('Living'))!;
    const html = (placeId: string) =>
      words(
        <DrillPicker
          book={makeBook()}
          sports={['table tennis']}
          players={3}
          view={view}
          placeId={placeId}
          onAdd={() => undefined}
        />,
      );
    const hall = view.session.placeId!;
    const count = (text: string) => text.match(/does not fit here/g)?.length ?? 0;
    expect(count(html(home.id))).toBeGreaterThan(count(html(hall)) + 10);
  });

  test('schools that act on a block stand beside it', () => {
    const choices = [{ scope: 'coach', key: '', question: 'takeBack', answer: 'looped' }] as const;
    const book = makeBook({ ...plainContents, choices });
    expect(words(<ActingSchools book={book} drill={book.drill('shadow-forehand')!} />)).toBe(
      'after a drop: go on from the spot · take-back: looped',
    );
    expect(words(<ActingSchools book={makeBook()} drill={makeBook().drill('ring-target')!} />)).toContain(
      'first bounce counts',
    );
  });

  test('a warning says how grave it is, where it comes from, and offers its mend unless the block was held', () => {
    const warning: Warning = {
      rule: 'load caps',
      severity: 'caution',
      text: 'Too many landings.',
      blockId: 'b',
      playerId: null,
      mend: { kind: 'scale', blockId: 'b', share: 0.5 },
      mendText: 'Shorten it',
      origin: 'memory',
      source: 'a handbook',
    };
    const list = (held: readonly string[]) =>
      words(<CareList warnings={[warning]} held={held} onMend={() => undefined} />);
    expect(list([])).toBe(
      'Care Too many landings. (load caps; published, quoted from memory: a handbook) Shorten it',
    );
    expect(list(['b'])).not.toContain('Shorten it');
  });
});

test('the fit of a child: every number with its range, its source, and a field for one’s own', async () => {
  const { players } = await squadView(context);
  const view = (await playerView(context, players.find((player) => player.name.startsWith('Nessa'))!.id))!;
  const text = words(<FitTable view={view} />);
  for (const label of ['Racket length', 'Belt height', 'Toss hoop', 'Standing reach', 'Demonstrations'])
    expect(text).toContain(label);
  expect(text).toContain('2.68 m 2.53 to 2.84 common practice');
  expect(text).toContain('Ball stage usual at 9: orange');
  const ravi = (await playerView(context, players.find((player) => player.name.startsWith('Ravi'))!.id))!;
  expect(words(<FitTable view={ravi} />)).not.toContain('Racket length');
});
