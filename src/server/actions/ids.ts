import { isSoundText } from '@/core/base/text';

const longestId = 80;
/** More blocks than a session can have. */
const mostIds = 50;

/** An id as it comes from outside; what is none is taken as unknown. */
export const asId = (id: unknown): string =>
  typeof id === 'string' && id.length <= longestId && isSoundText(id) ? id : '';

export const asIds = (ids: unknown): string[] => (Array.isArray(ids) ? ids.slice(0, mostIds).map(asId) : []);
