import { remembering } from '@/core/base/remember';
import { bookOf, plainContents, type Book, type BookContents } from './book-of';
import { catalogue } from './catalogue';

export { plainContents, type Book, type BookContents } from './book-of';

/** Telling two houses apart costs more than a book where a house has written more drills than this. Ours. */
const mostCompared = 20;
const known = remembering((contents: BookContents, coach: string) => bookOf(catalogue, contents, coach), 16);

/** The whole catalogue as a coach of a house sees it. The same house gives the same book, its drills worked out once. */
export const makeBook = (contents: BookContents = plainContents, coach = ''): Book =>
  contents.own.length > mostCompared ? bookOf(catalogue, contents, coach) : known(contents, coach);

/** The catalogue under the default schools, with nothing added. */
export const plainBook: Book = makeBook();
