import fc from 'fast-check';
import {
  allInLengths,
  feetInWords,
  feetMarked,
  inLengths,
  inchM,
  lengthInWords,
  metresTypedIn,
} from './units';

// NIST Handbook 44, appendix C, gives 1 in = 2.54 cm and 1 ft = 0.3048 m exactly (from memory).
test('an inch is 2.54 cm, twelve are a foot', () => {
  expect(inchM).toBe(0.0254);
  expect(metresTypedIn('1 ft', 'feet')).toBe(0.3);
  expect(metresTypedIn('10', 'feet')).toBe(3.05);
});

// ITF Rules of Tennis, rule 1: 23.77 m is 78 ft, 8.23 m is 27 ft, 10.97 m is 36 ft, a net of 0.914 m is 3 ft.
test.each([
  [23.77, '78 ft'],
  [8.23, '27 ft'],
  [10.97, '36 ft'],
  [0.914, '3 ft'],
  [6.4, '21 ft'],
  [1.524, '5 ft'],
  // ITTF Laws of Table Tennis 2.1: 2.74 m by 1.525 m, 76 cm high; a net of 15.25 cm.
  [2.74, '9 ft'],
  [0.76, '2 ft 6 in'],
  [0.1525, '6 in'],
  [0, '0'],
  [-0.5, '-20 in'],
])('%s m is %s', (metres, words) => expect(feetInWords(metres)).toBe(words));

test('a drawing marks feet and inches', () => {
  expect(feetMarked('6 ft 7 in')).toBe('6′ 7″');
  expect(feetMarked('8 in')).toBe('8″');
});

test('in metres, lengths are said to the centimetre', () => {
  expect(lengthInWords(2, 'metres')).toBe('2 m');
  expect(lengthInWords(1.3749, 'metres')).toBe('1.37 m');
  expect(lengthInWords(2, 'feet')).toBe('6 ft 7 in');
});

test.each([
  ['Stand 2 m from the wall.', 'Stand 6 ft 7 in from the wall.'],
  ['12 x 6 m', '39 ft 4 in x 19 ft 8 in'],
  ['a radius of 0.4, 0.8 and 1.2 m.', 'a radius of 16 in, 2 ft 7 in and 3 ft 11 in.'],
  ['60 to 90 cm above the head', '2 ft to 2 ft 11 in above the head'],
  [
    'it needs 3 m of clear height, and Garden has 2.4 m',
    'it needs 9 ft 10 in of clear height, and Garden has 7 ft 10 in',
  ],
  ['9.8 m/s, 12 s, 3 min, 20 months, 5 of 10', '9.8 m/s, 12 s, 3 min, 20 months, 5 of 10'],
  ['± 4 cm', '± 2 in'],
])('%s is said in feet', (metric, feet) => {
  expect(inLengths(metric, 'feet')).toBe(feet);
  expect(inLengths(metric, 'metres')).toBe(metric);
});

test.each([
  ["6'7", 2.01],
  ['6 ft 7 in', 2.01],
  ['6 ft', 1.83],
  ['6.5', 1.98],
  ['80 in', 2.03],
  ['8"', 0.2],
  ['2 m', 2],
  ['2,4 m', 2.4],
  ['', null],
  ['tall', null],
  ['-2', null],
  ['6 ft 7 in 2', null],
])('under feet, “%s” is %s', (text, metres) => expect(metresTypedIn(text, 'feet')).toBe(metres));

test.each([
  ['2', 2],
  ['2.4 m', 2.4],
  ['6 ft', null],
])('under metres, “%s” is %s', (text, metres) => expect(metresTypedIn(text, 'metres')).toBe(metres));

test('what is shown, typed again, is the same length to half an inch', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 10_000 }), (cm) => {
      const typed = metresTypedIn(feetInWords(cm / 100), 'feet');
      expect(Math.abs(typed! - cm / 100)).toBeLessThan(inchM / 2 + 0.006);
    }),
  );
});

test('a whole sheet is said in feet, and nothing else of it changes', () => {
  const made = new Date(0);
  const sheet = { title: 'Wall', lines: ['2 m away', 3, null, { note: 'mark at 1.4 m' }], made };
  expect(allInLengths(sheet, 'feet')).toEqual({
    title: 'Wall',
    lines: ['6 ft 7 in away', 3, null, { note: 'mark at 4 ft 7 in' }],
    made,
  });
  expect(allInLengths(sheet, 'metres')).toBe(sheet);
});
