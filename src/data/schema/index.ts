/** The data dictionary: the book itself, links that open a part of it, and who may come in. */
export * from './book';
export * from './links';
export * from './courses';
export * from './doors';
export * from './files';
export * from './server';
export * from './judgement';
export * from './vows';
