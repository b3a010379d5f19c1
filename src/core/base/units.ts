/** How lengths are shown and typed. They are kept in metres whatever is chosen. */
export const lengthUnits = ['metres', 'feet'] as const;
export type Lengths = (typeof lengthUnits)[number];
export const isLengths = (value: unknown): value is Lengths => lengthUnits.includes(value as Lengths);

/** Metres in an inch: the international inch, exactly (international yard and pound agreement, 1959). */
export const inchM = 0.0254;
const inchesAFoot = 12;
/** Shorter lengths are said in inches alone, as people do. Ours. */
const feetFromInches = 24;

/**
 * A length in feet and inches, to the inch: "6 ft 7 in", "9 ft", "8 in".
 * @param lengthM metres; under 0 is said with a minus
 */
export function feetInWords(lengthM: number): string {
  const inches = Math.round(Math.abs(lengthM) / inchM);
  const sign = lengthM < 0 && inches > 0 ? '-' : '';
  if (inches === 0) return '0';
  if (inches < feetFromInches) return `${sign}${inches} in`;
  const rest = inches % inchesAFoot;
  const feet = `${sign}${Math.floor(inches / inchesAFoot)} ft`;
  return rest === 0 ? feet : `${feet} ${rest} in`;
}

/** The same with the marks of a drawing, where there is little room: 6′ 7″. */
export const feetMarked = (words: string): string => words.replace(/ ft/g, '′').replace(/ in\b/g, '″');

/** A length to the centimetre: "2 m", "1.37 m", or in feet and inches. */
export const lengthInWords = (lengthM: number, lengths: Lengths): string =>
  lengths === 'feet' ? feetInWords(lengthM) : `${Math.round(lengthM * 100) / 100} m`;

// A number, or several joined as people join them, before one unit: "2 m", "12 x 6 m", "0.4, 0.8 and 1.2 m".
const measured =
  /(?<![\d.])-?\d+(?:\.\d+)?(?:(?:,? (?:x|to|and|by|or) |, )-?\d+(?:\.\d+)?)* (?:m|cm|metres)(?![\w/²])/g;
const number = /-?\d+(?:\.\d+)?/g;

/**
 * What is said in metres and centimetres, said in the chosen unit. Speeds, and anything that is no length, stay as they
 * are.
 */
export function inLengths(text: string, lengths: Lengths): string {
  if (lengths === 'metres') return text;
  return text.replace(measured, (said) => {
    const toMetres = said.endsWith('cm') ? 0.01 : 1;
    return said
      .replace(/ (?:m|cm|metres)$/, '')
      .replace(number, (value) => feetInWords(Number(value) * toMetres));
  });
}

const feetTyped =
  /^(\d+(?:[.,]\d+)?)(?:\s*(?:'|′|’|ft|feet)\s*|\s+|$)(?:(\d+(?:[.,]\d+)?)\s*(?:"|″|”|''|in|inches)?)?$/;
const inchesTyped = /^(\d+(?:[.,]\d+)?)\s*(?:"|″|”|in|inches)$/;
const metresTyped = /^(\d+(?:[.,]\d+)?)\s*(?:m|metres)?$/;
const numberOf = (text: string): number => Number(text.replace(',', '.'));

/**
 * Reads a typed length: under `feet` "6 ft 7", "6'7", "6.5" (feet) or "80 in"; under `metres` "2", "2.4 m". Metres with
 * their unit are read under either.
 * @returns metres (from feet and inches to the centimetre), or null for what is no length
 */
export function metresTypedIn(text: string, lengths: Lengths): number | null {
  const typed = text.trim().toLowerCase();
  const metric = metresTyped.exec(typed);
  if (metric && (lengths === 'metres' || /m|metres/.test(typed))) return numberOf(metric[1]!);
  if (lengths === 'metres') return null;
  const inches = inchesTyped.exec(typed);
  if (inches) return toCentimetre(numberOf(inches[1]!) * inchM);
  const feet = feetTyped.exec(typed);
  if (!feet) return null;
  return toCentimetre((numberOf(feet[1]!) * inchesAFoot + (feet[2] ? numberOf(feet[2]) : 0)) * inchM);
}

const toCentimetre = (lengthM: number): number => Math.round(lengthM * 100) / 100;

/** All texts of plain data with their lengths said in the chosen unit; what is no plain data stays as it is. */
export function allInLengths<T>(value: T, lengths: Lengths): T {
  if (lengths === 'metres') return value;
  if (typeof value === 'string') return inLengths(value, lengths) as T;
  if (Array.isArray(value)) return value.map((one: unknown) => allInLengths(one, lengths)) as T;
  if (typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype)
    return Object.fromEntries(
      Object.entries(value).map(([key, one]) => [key, allInLengths<unknown>(one, lengths)]),
    ) as T;
  return value;
}
