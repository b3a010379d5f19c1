import { object, string } from 'yup';
import { sports, type Sport } from '@/drills/types';

/** What a list is narrowed to; what is empty is open. It stands in the address. */
export interface Filter {
  readonly place: string;
  readonly coach: string;
  readonly sport: Sport | '';
  /** The Monday of a week, local ISO. */
  readonly week: string;
}

export const noFilter: Filter = { place: '', coach: '', sport: '', week: '' };

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

/** The filter as the end of an address: "place=Hall&sport=tennis"; empty where nothing is chosen. */
export function filterQuery(filter: Partial<Filter> & { readonly page?: number }): string {
  const query = new URLSearchParams();
  for (const [key, value] of Object.entries(filter)) if (value) query.set(key, String(value));
  return query.toString();
}

export const isOpen = (filter: Filter): boolean => Object.values(filter).every((value) => value === '');
