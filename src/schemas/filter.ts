import { object, string } from 'yup';
import { noFilter, type Filter } from '@/core/base/filter';
import { sports } from '@/drills/base/types';

const schema = object({
  place: string().trim().max(80).default(''),
  coach: string().trim().max(60).default(''),
  sport: string()
    .oneOf([...sports, ''])
    .default(''),
  week: string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, { excludeEmptyString: true })
    .default(''),
});

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** One value of an address, however often it stands there. */
export const oneOf = (value: string | string[] | undefined): string =>
  (Array.isArray(value) ? value[0] : value) ?? '';

/** The filter in an address; what cannot be is left out, because an address is easily cut. */
export function readFilter(query: Query): Filter {
  const given = Object.fromEntries(Object.keys(noFilter).map((key) => [key, oneOf(query[key])]));
  const kept = Object.entries(given).filter(([key, value]) =>
    schema.pick([key as 'week']).isValidSync({ [key]: value }),
  );
  return { ...noFilter, ...Object.fromEntries(kept) };
}
