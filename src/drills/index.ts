export { catalogue } from './catalogue';
export { bookOf } from './book-of';
export { makeBook, plainBook, plainContents, type Book, type BookContents } from './book';
export { neighbourStep, stepAfter } from './base/ladder';
