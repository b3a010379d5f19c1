import { phasesOf, signalsOf } from '@/core/run/phases';
import { scheduleSignals, type SoundContext } from './sound';

/** A sound card that only writes down what it is asked for. */
function card(currentTime: number) {
  const starts: [hz: number, atS: number][] = [];
  let disconnected = 0;
  const param = () => ({
    value: 0,
    setValueAtTime: () => undefined,
    linearRampToValueAtTime: () => undefined,
  });
  const context = {
    currentTime,
    destination: {},
    createGain: () => ({ gain: param(), connect: () => undefined }),
    createOscillator: () => {
      const frequency = param();
      return {
        frequency,
        connect: () => undefined,
        disconnect: () => (disconnected += 1),
        start: (atS: number) => starts.push([frequency.value, atS]),
        stop: () => undefined,
      };
    },
  };
  return { context: context as unknown as SoundContext, starts, disconnected: () => disconnected };
}

const signals = signalsOf(phasesOf({ kind: 'timed', rounds: 1, workS: 20, restS: 0 }, 20));

test('3-2-1, go and the end are on the sound card’s own clock', () => {
  const { context, starts } = card(100);
  scheduleSignals(context, signals, 0);
  expect(starts.map(([, atS]) => atS)).toEqual([100, 101, 102, 103, 123]);
  expect(new Set(starts.map(([hz]) => hz)).size).toBe(3);
});

test('after a pause only what is still to come sounds, and pausing takes it back', () => {
  const { context, starts, disconnected } = card(50);
  const takeBack = scheduleSignals(context, signals, 10);
  expect(starts.map(([, atS]) => atS)).toEqual([63]);
  takeBack();
  expect(disconnected()).toBe(1);
});
