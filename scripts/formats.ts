import { bundleJsonSchema } from '@/formats/bundle/json-schema';

/* Prints the JSON Schema of a book: npm run -s formats > docs/book.schema.json */
console.log(JSON.stringify(bundleJsonSchema(), null, 2));
