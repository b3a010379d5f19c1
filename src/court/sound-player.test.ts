import fc from 'fast-check';
import { beats } from '@/core/court/calls/beat';
import { clipAfterToneS } from '@/core/court/calls/mix';
import type { Cue } from '@/core/court/calls/timeline';
import { lookAheadS, SoundPlayer, webAudioPlay, type SoundContext } from './sound-player';

const cue = (atS: number, more: Partial<Cue> = {}): Cue => ({
  atS,
  tone: 'beat',
  clip: null,
  call: null,
  ...more,
});

/** A sound card and a page whose timer is only served when the page is not busy. */
function world() {
  const state = { now: 0, work: null as (() => void) | null, stopped: 0 };
  const played: { cue: Cue; at: number; handedAt: number; takenBack: boolean }[] = [];
  const player = new SoundPlayer({
    now: () => state.now,
    play: (one, at) => {
      const entry = { cue: one, at, handedAt: state.now, takenBack: false };
      played.push(entry);
      return () => (entry.takenBack = true);
    },
    every: (work) => {
      state.work = work;
      return () => {
        state.work = null;
        state.stopped += 1;
      };
    },
  });
  const pass = (seconds: number) => {
    state.now += seconds;
    state.work?.();
  };
  return { state, played, player, pass };
}

test('ten minutes of beat on a page that is busy for up to three seconds at a time: every beat, each on its moment', () => {
  const cues = beats(200, 3, 600).map((beat) => cue(beat.atS));
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.01, max: lookAheadS - 0.01, noNaN: true }), {
        minLength: 5,
        maxLength: 60,
      }),
      (stalls) => {
        const { played, player, pass, state } = world();
        state.now = 12.34;
        player.start(cues, 0);
        for (let at = 0, turn = 0; at < 610; turn++) {
          const stall = stalls[turn % stalls.length]!;
          pass(stall);
          at += stall;
        }
        expect(played).toHaveLength(cues.length);
        for (const { cue: one, at, handedAt } of played) {
          // A thousandth of a millisecond: the rounding of sums of seconds.
          expect(Math.abs(at - (12.34 + one.atS))).toBeLessThan(1e-6);
          expect(handedAt).toBeLessThanOrEqual(at);
        }
        expect(state.work).toBeNull();
      },
    ),
    { numRuns: 20 },
  );
});

test('a page that sleeps longer than it looks ahead leaves late beats out instead of heaping them up', () => {
  const { played, player, pass } = world();
  player.start(
    beats(60, 0, 60).map((beat) => cue(beat.atS)),
    0,
  );
  pass(20.5);
  const late = played.filter((one) => one.at - one.handedAt < -0.05);
  expect(late).toEqual([]);
  expect(played.map((one) => one.cue.atS).slice(-3)).toEqual([21, 22, 23]);
});

test('it starts in the middle, and what has not sounded is taken back when it stops or starts anew', () => {
  const { played, player, pass, state } = world();
  player.start([cue(1), cue(2), cue(3), cue(9)], 1.5);
  expect(played.map((one) => [one.cue.atS, one.at])).toEqual([
    [2, 0.5],
    [3, 1.5],
  ]);
  pass(0.1);
  player.stop();
  expect(played.every((one) => one.takenBack)).toBe(true);
  expect(state.work).toBeNull();
  player.start([cue(1)], 5);
  expect(state.work).toBeNull();
});

test('on the sound card: a tone of its pitch that rises and falls, and a word after its tone', () => {
  const calls: string[] = [];
  const param = () => ({
    value: 0,
    setValueAtTime: (value: number, at: number) => calls.push(`set ${value} ${at.toFixed(3)}`),
    linearRampToValueAtTime: (value: number, at: number) => calls.push(`ramp ${value} ${at.toFixed(3)}`),
  });
  const node = (name: string) => ({
    frequency: param(),
    gain: param(),
    connect: () => undefined,
    disconnect: () => calls.push(`off ${name}`),
    start: (at: number) => calls.push(`start ${name} ${at.toFixed(3)}`),
    stop: (at: number) => calls.push(`stop ${name} ${at.toFixed(3)}`),
    buffer: null,
  });
  const context = {
    currentTime: 0,
    destination: {},
    createOscillator: () => node('tone'),
    createGain: () => node('gain'),
    createBufferSource: () => node('word'),
  } as unknown as SoundContext;
  const play = webAudioPlay(context, (name) => (name === 'rest' ? ({} as AudioBuffer) : undefined));
  const takeBack = play(cue(5, { tone: 'stop', clip: 'rest' }), 7);
  expect(calls).toContain('start tone 7.000');
  expect(calls).toContain('stop tone 7.450');
  expect(calls).toContain(`start word ${(7 + clipAfterToneS).toFixed(3)}`);
  calls.length = 0;
  takeBack();
  expect(calls).toEqual(['off tone', 'off gain', 'off word']);
  calls.length = 0;
  play(cue(5, { tone: null, clip: 'missing' }), 7);
  expect(calls).toEqual([]);
});
