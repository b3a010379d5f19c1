import { seededRandom } from '../base/random';
import { clashText } from './clash-words';
import { clashesOf, endTime, freeLater, nextFreeDay, type Booked } from './clash';
import { daysLater } from './weekly';

const booking = (more: Partial<Booked> = {}): Booked => ({
  day: '2026-12-03',
  startTime: '16:30',
  bookedMin: 60,
  coach: 'Mira',
  placeId: null,
  placeName: '',
  playerIds: ['a', 'b'],
  ...more,
});
const other = (more: Partial<Booked> = {}): Booked =>
  booking({ coach: 'Jon', playerIds: ['b', 'c'], ...more });

test('a child, the coach and the place are each said, and nothing where nothing is shared', () => {
  expect(clashesOf(booking(), [other()])).toMatchObject([{ playerIds: ['b'], coach: false, place: false }]);
  expect(clashesOf(booking(), [other({ playerIds: ['c'] })])).toEqual([]);
  expect(clashesOf(booking(), [other({ playerIds: ['c'], coach: ' mira ' })])).toMatchObject([
    { playerIds: [], coach: true },
  ]);
  const hall = { placeId: '1', placeName: 'Hall' };
  expect(clashesOf(booking(hall), [other({ playerIds: [], ...hall })])).toMatchObject([{ place: true }]);
  // A place that is only named is known by its name; two of the list by what they are.
  expect(clashesOf(booking(hall), [other({ playerIds: [], placeName: 'hall' })])).toMatchObject([
    { place: true },
  ]);
  expect(clashesOf(booking(hall), [other({ playerIds: [], placeName: 'Hall', placeId: '2' })])).toEqual([]);
  // What is left open by both is not the same.
  expect(clashesOf(booking({ coach: '' }), [other({ playerIds: [], coach: '' })])).toEqual([]);
});

test.each([
  ['one ends where the other begins', '17:30', 60, '2026-12-03', 0],
  ['a minute too early', '17:29', 60, '2026-12-03', 1],
  ['one before it that ends in time', '15:30', 60, '2026-12-03', 0],
  ['one inside it', '16:45', 15, '2026-12-03', 1],
  ['another day', '16:30', 60, '2026-12-04', 0],
])('%s', (_, startTime, bookedMin, day, found) => {
  expect(clashesOf(booking(), [other({ startTime, bookedMin, day })])).toHaveLength(found);
});

test('a booking that goes on past midnight collides with one of the next morning, over the end of a year', () => {
  const late = booking({ day: '2026-12-31', startTime: '23:30' });
  expect(clashesOf(late, [other({ day: '2027-01-01', startTime: '00:15' })])).toHaveLength(1);
  expect(clashesOf(late, [other({ day: '2027-01-01', startTime: '00:30' })])).toHaveLength(0);
  expect(endTime(late)).toBe('00:30');
});

test('the next free day is of the same weekday, the day itself where it is free', () => {
  expect(nextFreeDay(booking(), [])).toBe('2026-12-03');
  const taken = [other(), other({ day: '2026-12-10', startTime: '17:00' })];
  expect(nextFreeDay(booking(), taken)).toBe('2026-12-17');
  const always = Array.from({ length: 26 }, (_, week) => other({ day: daysLater('2026-12-03', 7 * week) }));
  expect(nextFreeDay(booking(), always)).toBeNull();
});

test('later the same day is on the quarter hour, and not after nine in the evening', () => {
  expect(freeLater(booking(), [other()])).toBe('17:30');
  expect(freeLater(booking(), [other({ bookedMin: 65 })])).toBe('17:45');
  expect(freeLater(booking(), [other({ bookedMin: 240 })])).toBeNull();
});

test('what is proposed never collides, and nothing sooner is free: two hundred random weeks', () => {
  const random = seededRandom(7);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const one = (): Booked =>
    booking({
      day: daysLater('2026-12-03', 7 * Math.floor(random() * 4)),
      startTime: `${pick(['15', '16', '17', '18'])}:${pick(['00', '15', '30', '45'])}`,
      bookedMin: pick([30, 45, 60, 90]),
      coach: pick(['', 'Mira', 'Jon']),
      placeName: pick(['', 'Hall', 'Court']),
      playerIds: ['a', 'b', 'c', 'd'].filter(() => random() < 0.4),
    });
  // Minute by minute, as somebody would with a wall calendar.
  const minutesOf = ({ day, startTime, bookedMin }: Booked): Set<number> => {
    const from = Date.parse(`${day}T${startTime}:00Z`) / 60_000;
    return new Set(Array.from({ length: bookedMin }, (_, minute) => from + minute));
  };
  const collides = (a: Booked, b: Booked): boolean => {
    const minutes = minutesOf(b);
    return (
      [...minutesOf(a)].some((minute) => minutes.has(minute)) &&
      (a.playerIds.some((id) => b.playerIds.includes(id)) ||
        (a.coach !== '' && a.coach === b.coach) ||
        (a.placeName !== '' && a.placeName === b.placeName))
    );
  };
  let proposals = 0;
  for (let n = 0; n < 200; n++) {
    const mine = one();
    const others = Array.from({ length: 6 }, one);
    expect(clashesOf(mine, others).map((clash) => clash.with)).toEqual(
      others.filter((two) => collides(mine, two)),
    );
    const free = nextFreeDay(mine, others)!;
    for (let day = mine.day; day <= free; day = daysLater(day, 7))
      expect(others.some((two) => collides({ ...mine, day }, two))).toBe(day !== free);
    if (free !== mine.day) proposals += 1;
  }
  expect(proposals).toBeGreaterThan(20);
});

test('it is said with the day, the hour and the group; of many names the rest is counted', () => {
  const said = { day: '2026-12-03', title: 'Thursday group', startTime: '16:30', endTime: '17:30' };
  expect(clashText({ ...said, names: ['Ada', 'Ben'], coach: true, place: false })).toBe(
    'Thu 3 Dec, 16:30 to 17:30: Thursday group already has Ada, Ben and the coach.',
  );
  expect(
    clashText({ ...said, names: ['Ada', 'Ben', 'Cy', 'Dov', 'Eli'], coach: false, place: true }),
  ).toContain('already has Ada, Ben, Cy, 2 more players and the place.');
  expect(clashText({ ...said, names: [], coach: false, place: true })).toContain('already has the place.');
});
