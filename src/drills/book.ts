import { bookOf, plainContents, type Book, type BookContents } from './book-of';
import { catalogue } from './catalogue';

export { plainContents, type Book, type BookContents } from './book-of';

/** The whole catalogue as a coach of a house sees it. */
export const makeBook = (contents: BookContents = plainContents, coach = ''): Book =>
  bookOf(catalogue, contents, coach);

/** The catalogue under the default schools, with nothing added. */
export const plainBook: Book = makeBook();
