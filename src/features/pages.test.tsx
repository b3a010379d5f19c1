import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { catalogue } from '@/catalogue';
import { makeDemo } from '@/demo/make';
import type { Context } from '@/server/context';
import { scratch } from '@/server/testing/scratch';
import { drillView, drillsView } from '@/server/views/drills';
import { placesView } from '@/server/views/places';
import { playerView } from '@/server/views/player';
import { schoolsView } from '@/server/views/schools';
import { sessionReviewView } from '@/server/views/session-review';
import { squadView } from '@/server/views/squad';
import { todayView } from '@/server/views/today';
import { DrillForm } from './drills/drill-form';
import { DrillPage } from './drills/drill-page';
import { Drills } from './drills/drills';
import { Places } from './places/places';
import { Schools } from './schools/schools';
import { Standing } from './player/standing';
import { Review } from './review/review';
import { SessionLines } from './sessions/session-lines';
import { Squad } from './squad/squad';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));
jest.mock('next/navigation', () => ({ useRouter: () => ({}) }));

/* Screens drawn from the demo's own views: what a coach reads on them. */
let context: Context;
let close: () => void;
beforeAll(async () => {
  ({ context, close } = await scratch());
  await makeDemo(context.db, { today: '2026-11-24', seed: 20, weeks: 2 });
}, 60_000);
afterAll(() => close());

const words = (element: ReactElement) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

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
  expect(words(<Squad view={{ players: [], year: 2026 }} />)).toContain('Press “Add a player” to begin.');
});

test('sessions lead to their plan, or to their review when they were held', async () => {
  const view = await todayView(context);
  const html = renderToStaticMarkup(
    <SessionLines title="All" lines={[...view.next, ...view.last]} empty="" />,
  );
  for (const session of view.next) expect(html).toContain(`/sessions/${session.id}/plan`);
  for (const session of view.last) expect(html).toContain(`/sessions/${session.id}/review`);
  expect(words(<SessionLines title="All" lines={[]} empty="Nothing yet." />)).toBe('All Nothing yet.');
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
  const html = renderToStaticMarkup(<Review view={view} />);
  expect(html).toContain(`Accept ${lines.length} proposals`);
  const [first] = view.blocks;
  expect(html.match(/data-player=/g)).toHaveLength(first!.lines.length);
  for (const line of first!.lines) expect(html).toContain(line.byDefault.reason.replaceAll("'", '&#x27;'));
  // One decision is chosen for each, and it is the proposed one.
  expect(html.match(/checked=""/g)).toHaveLength(first!.lines.length);
});

test('a review without counts says so', async () => {
  const planned = (await todayView(context)).sessions[0]!;
  const view = (await sessionReviewView(context, planned.id))!;
  expect(words(<Review view={view} />)).toContain('Nothing was counted in this session yet.');
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
    expect(words(<Places view={{ places: [], kit: {} }} />)).toContain('everything is taken as there');
  });

  test('schools say the default, its reason, and on how many drills they act', async () => {
    const text = words(<Schools view={await schoolsView(context)} />);
    expect(text).toContain('Default: two hands. Two hands while strength is short');
    expect(text).toContain('Ottilie Ferrow');
    expect(text).toContain('Acts on 2 drills.');
  });

  test('the form shows everything a drill has', () => {
    const html = renderToStaticMarkup(
      <DrillForm drill={catalogue.find((drill) => drill.id === 'carry')!} id={null} />,
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
    expect(html.match(/Dose of step/g)).toHaveLength(6);
  });
});
