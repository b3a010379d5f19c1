/* The text of a PDF that comes in: a process of its own, because the reader is an ES module and Jest runs none. */
import { extractText } from 'unpdf';

const parts = [];
for await (const part of process.stdin) parts.push(part);
const { text } = await extractText(new Uint8Array(Buffer.concat(parts)), { mergePages: true });
process.stdout.write(text);
