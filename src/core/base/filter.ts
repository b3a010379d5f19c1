/** What a list is narrowed to; what is empty is open. It stands in the address. */
export interface Filter {
  readonly place: string;
  readonly coach: string;
  readonly sport: string;
  /** The first day of a week, local ISO. */
  readonly week: string;
}

export const noFilter: Filter = { place: '', coach: '', sport: '', week: '' };

export const isOpen = (filter: Filter): boolean => Object.values(filter).every((value) => value === '');

/** The filter as the end of an address: "place=Hall&sport=tennis"; empty where nothing is chosen. */
export function filterQuery(filter: Partial<Filter> & { readonly page?: number }): string {
  const parts = Object.entries(filter).filter(([, value]) => value);
  return parts.map(([key, value]) => `${key}=${encodeURIComponent(String(value))}`).join('&');
}
