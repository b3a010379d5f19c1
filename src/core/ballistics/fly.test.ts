import { ballNumbers, balls } from './balls';
import { fine, Flight } from './flight';
import { flyTo, type Gate } from './fly';
import { degrees, fromPerMinute, launched, radians, speedOf, X, Y, Z } from './motion';
import { ballEnds, spreadOver } from './spread-over';

const ball = ballNumbers(balls.yellow);
const floor = { name: 'floor', axis: Y, level: ball.radiusM, toward: -1 } as const;
const shot = () => launched([0, 1, 0], { speedMps: 12, elevation: 0.3, side: 0.1 }, 1);

describe('the first plane that is really there', () => {
  const net = (there?: Gate['there']): Gate<'net'> => ({
    name: 'net',
    axis: X,
    level: 6,
    toward: 1,
    ...(there && { there }),
  });
  test('a net that is high enough is met, one that is flown over is not', () => {
    const met = shot();
    expect(flyTo(new Flight(fine), ball, met, [net((at) => at[1]! < 5), floor]).gate).toBe('net');
    expect(met[0]).toBeCloseTo(6, 9);
    expect(flyTo(new Flight(fine), ball, shot(), [net((at) => at[1]! < 0.9), floor]).gate).toBe('floor');
  });
  test('of two planes the nearer one counts, whichever is asked about first', () => {
    const side: Gate<'side'> = { name: 'side', axis: Z, level: 0.3, toward: 1 };
    for (const gates of [
      [net(), side],
      [side, net()],
    ])
      expect(flyTo(new Flight(fine), ball, shot(), gates).gate).toBe('side');
  });
  test('what never comes is said: up into the sky and nothing to meet', () => {
    const leg = flyTo(new Flight(fine), ball, shot(), [{ name: 'moon', axis: Y, level: 100, toward: 1 }]);
    expect(leg.gate).toBeNull();
    expect(leg.seconds).toBeGreaterThanOrEqual(12);
  });
  test('a ceiling is met on the way up, and the way down through the same height is no meeting', () => {
    const ceiling = { name: 'ceiling', axis: Y, level: 1.5, toward: 1 } as const;
    const motion = shot();
    expect(flyTo(new Flight(fine), ball, motion, [ceiling, floor]).gate).toBe('ceiling');
    expect(motion[4]).toBeGreaterThan(0);
    const back = flyTo(new Flight(fine), ball, motion, [ceiling, floor]);
    expect(back.gate).toBe('floor');
    expect(back.topM).toBeGreaterThan(1.5);
  });
  test('a start on a plane is no crossing of it', () => {
    const motion = launched([0, ball.radiusM, 0], { speedMps: 5, elevation: 1 }, 1);
    expect(flyTo(new Flight(fine), ball, motion, [floor]).seconds).toBeGreaterThan(0.5);
  });
});

test('the same flight object flies again as if it were new', () => {
  const flight = new Flight(fine);
  const [first, second] = [shot(), shot()];
  flyTo(flight, ball, first, [floor]);
  flyTo(flight, ballNumbers(balls['table tennis']), shot(), [floor]);
  flyTo(flight, ball, second, [floor]);
  expect([...second]).toEqual([...first]);
});

test('a launch has its speed, whatever its angles, and its spin across its way', () => {
  for (const [elevation, side, along] of [
    [0.4, 0.2, 1],
    [-0.3, -0.5, -1],
    [1.5, 0, 1],
  ] as const) {
    const m = launched([1, 2, 3], { speedMps: 9, elevation, side, topspin: 100 }, along);
    expect(speedOf(m)).toBeCloseTo(9, 12);
    expect(Math.hypot(m[6]!, m[7]!, m[8]!)).toBeCloseTo(100, 9);
    expect(m[3]! * m[6]! + m[5]! * m[8]!).toBeCloseTo(0, 9);
    expect(Math.sign(m[3]!)).toBe(along);
  }
  expect(degrees(radians(33))).toBeCloseTo(33, 9);
  expect(fromPerMinute(60)).toBeCloseTo(2 * Math.PI, 12);
});

describe('the spread of ranges', () => {
  test('independent errors add as squares, the larger end counts, and ends without a result are told', () => {
    const pairs = [
      [3, -1],
      [4, 2],
      [9, 0],
    ] as const;
    const { spread, failing } = spreadOver({ value: 0 }, pairs, (off) => (off === 9 ? null : { value: off }));
    expect(spread.value).toBeCloseTo(5, 12);
    expect(failing).toBe(1);
  });
  test('nothing varied, no spread', () => {
    expect(spreadOver({ a: 1, b: 2 }, [], () => null)).toEqual({ spread: { a: 0, b: 0 }, failing: 0 });
  });
  test('a ball has four ranges, both ends of each', () => {
    const ends = ballEnds('green');
    expect(ends).toHaveLength(4);
    for (const [low, high] of ends) {
      const [name] = Object.keys(low) as ['massKg'];
      expect(low[name]!).toBeLessThan(high[name]!);
      expect(ballNumbers(balls.green, low)).not.toEqual(ballNumbers(balls.green, high));
    }
  });
});
