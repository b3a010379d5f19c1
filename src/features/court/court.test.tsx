import { renderToStaticMarkup } from 'react-dom/server';
import { noLimits, triesInAll } from '@/core/counting/limits';
import { plainBook } from '@/drills';
import type { CountKind, TouchEvent } from '@/core/counting/event';
import { phasesOf, positionAt } from '@/core/court/phases';
import { BlockClockFace } from './block-clock-face';
import { CourtMain } from './court-main';
import { CountTile, type CountTileProps } from './count-tile';
import { SafeNote } from './safe-note';
import type { LogState } from '@/court/run-log';

const words = (element: React.ReactElement) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

test('what the server drew of a court screen cannot be pressed until the page is alive', () => {
  const drawn = renderToStaticMarkup(<CourtMain>tiles</CourtMain>);
  expect(drawn).toMatch(/^<main inert="" aria-busy="true"/);
});

const marks = (kinds: [CountKind, number?][]): TouchEvent[] =>
  kinds.map(([kind, value], n) => ({
    id: String(n).padStart(4, '0'),
    blockId: 'b',
    playerId: 'p',
    kind,
    attempt: 1,
    value: value ?? null,
    ref: null,
    atMs: n * 500,
    monoMs: n,
    device: 'd',
  }));

const tile = (
  drill: string,
  step: string,
  kinds: [CountKind, number?][],
  more: Partial<CountTileProps> = {},
) =>
  words(
    <CountTile
      name="Mika"
      digit={1}
      step={plainBook.step(drill, step)!}
      playerId="p"
      dose={plainBook.step(drill, step)!.doses['10-12']}
      target={5}
      bestEver={7}
      limitsUnder={() => noLimits}
      inAll={triesInAll(plainBook.step(drill, step)!.doses['10-12'])}
      events={marks(kinds)}
      onMark={() => undefined}
      onBeside={() => undefined}
      onType={() => undefined}
      onSay={() => undefined}
      heldS={0}
      phases={phasesOf(plainBook.step(drill, step)!.doses['10-12'], 30)}
      round={1}
      turn={null}
      {...more}
    />,
  );

describe('a tile says', () => {
  test('in a row: the running row, best today, best ever, and the aim when it is reached', () => {
    const row: [CountKind, number?][] = [
      ['touch'],
      ['touch'],
      ['touch'],
      ['touch'],
      ['touch'],
      ['drop'],
      ['touch'],
    ];
    expect(tile('palm-up-bounce', 'row-20', row)).toBe(
      '1 Mika count a touch 1 aim 5 ✓ today 5 ever 7 Mika: Count a miss 1 so far Type',
    );
    expect(tile('palm-up-bounce', 'row-20', [])).toContain('0 aim 5 today 0 ever 7');
    expect(tile('palm-up-bounce', 'row-20', [], { tooShort: true })).toContain(
      'aim 5 too short to pass today 0',
    );
  });

  test('points: the score, the shots, and each zone with its points', () => {
    const text = tile(
      'ring-target',
      'underarm-throw',
      [
        ['zone', 10],
        ['zone', 0],
      ],
      { target: 40, bestEver: null },
    );
    // Ten shots a round: eight are left, and ten points each are still possible.
    expect(text).toContain('10 2 shots , 1 missed , 8 left at most 90 aim 40 today 10 ever –');
    expect(text).toMatch(/Mika: 10 Inner ring Mika: 5 Middle ring Mika: 1 Outer ring Mika: 0 Out$/);
  });

  test('a hold: held or let go', () => {
    expect(tile('wrist-and-forearm', 'band-outwards', [['hold', 20]])).toMatch(
      /held to the end 20 .* Mika: Let go Type$/,
    );
  });

  test('reps: all of them, over the sets', () => {
    expect(tile('shadow-forehand', 'full-and-freeze', [['touch'], ['touch']])).toContain('count a touch 2 ');
  });
});

describe('a tile of the other measures says', () => {
  test('grade: the quality marks, the best first, and how many were graded', () => {
    const text = tile('soft-catch', 'head-high', [
      ['grade', 2],
      ['grade', 0],
    ]);
    expect(text).toContain('2 2 graded');
    expect(text).toMatch(/Mika: 2 Silent Mika: 1 A buzz Mika: 0 Bounced Told by ear feel eye$/);
  });
  test('lap: the last one’s seconds, and a best that is the lowest', () => {
    const text = tile('triangle-run', 'timed-lap', [
      ['lap', 7.1],
      ['lap', 6.8],
    ]);
    expect(text).toContain('lap done 6.8 ');
    expect(text).toContain('today 6.8');
    expect(text).toMatch(/Broken off Type$/);
    expect(tile('triangle-run', 'timed-lap', [])).toContain('today –');
  });
  test('laps and bounces: how many; steadiness has no number before four bounces', () => {
    const halves = [0.5, 0.5, 0.5].map((share): [CountKind, number] => ['touch', share]);
    expect(tile('figure-of-eight', 'quick-eight', halves)).toContain('count a half 1½ ');
    const even = tile('turn-over-bounce', 'same-height', [['touch'], ['touch']]);
    expect(even).toContain('count a touch 2 ');
    expect(even).toContain('today –');
  });
  test('a growing count says its round, a routine its weakest part', () => {
    const hops = tile('growing-hops', 'two-lines', [['touch'], ['touch'], ['touch']]);
    expect(hops).toContain('2 on every line · Round 2 of 6');
    const routine = tile('touch-routine', 'four-bounces', [['touch'], ['touch']]);
    expect(routine).toContain('count a touch 2 ');
    expect(routine).toContain('weakest part now 2');
  });
  test('what is noted beside a mark waits for one, and shows the answer to the last', () => {
    expect(tile('soft-catch', 'head-high', [])).toContain('Told by ear feel eye');
    expect(tile('palm-up-bounce', 'row-20', [])).not.toContain('Told by');
  });
  test('a step of their own stands on the tile', () => {
    expect(tile('palm-up-bounce', 'row-50', [], { ownStep: true })).toContain('1 Mika Fifty in a row');
  });
});

describe('the clock says', () => {
  const phases = phasesOf({ kind: 'timed', rounds: 2, workS: 20, restS: 10 }, 40);
  const face = (
    state: 'ready' | 'running' | 'paused' | 'ended',
    elapsedS: number,
    changeoverS: number | null = null,
  ) =>
    words(
      <BlockClockFace
        clock={{ state, gatheredMs: 0, runningSinceMs: state === 'running' ? 0 : null }}
        position={positionAt(phases, elapsedS)}
        phases={phases}
        turns={1}
        changeoverS={changeoverS}
        lateS={null}
        onOpen={() => undefined}
      />,
    );
  test.each([
    ['ready', 0, 'Ready round 1 of 2 0:20'],
    ['running', 0.5, 'Get ready round 1 of 2 3'],
    ['running', 2.5, 'Get ready round 1 of 2 1'],
    ['running', 3, 'Work round 1 of 2 0:20'],
    ['running', 25, 'Rest round 1 of 2 0:08'],
    ['paused', 25, 'Paused round 1 of 2 0:08'],
    ['running', 53, 'Time round 2 of 2 0:00'],
    ['ended', 40, 'Ended round 2 of 2 0:13'],
  ] as const)('%s after %d s: %s', (state, elapsedS, text) => {
    expect(face(state, elapsedS)).toBe(`Time: ${text}`);
  });
  test('between two blocks: what is left of the changeover, and by how much it takes longer', () => {
    expect(face('ready', 0, 34.2)).toBe('Time: Change over round 1 of 2 0:35');
    expect(face('ready', 0, -15)).toBe('Time: Change over round 1 of 2 0:15 longer 0:00');
    // Once it runs, the block's own clock counts.
    expect(face('running', 3, 20)).toBe('Time: Work round 1 of 2 0:20');
  });
});

describe('where the counts are is said', () => {
  const note = (more: Partial<LogState>) =>
    words(
      <SafeNote
        state={{
          safe: 12,
          waiting: 0,
          loose: 0,
          heldBack: [],
          trouble: null,
          closed: null,
          reachable: true,
          ...more,
        }}
      />,
    );
  test.each([
    [{}, 'All safe on the server'],
    [{ waiting: 3 }, '12 safe on the server 3 safe here, on the way'],
    [{ waiting: 3, reachable: false }, '12 safe on the server 3 safe here, on the way Server out of reach'],
    [{ loose: 1 }, '12 safe on the server 1 not kept yet'],
    [{ heldBack: [{}, {}] as never }, '12 safe on the server 2 held back here'],
  ])('%j', (state, text) => expect(note(state)).toBe(text));
});
