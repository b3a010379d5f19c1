export const dynamic = 'force-dynamic';

/** An empty page in the desk's frame: what `npm run bench -- pages` measures the others against. */
export default function BlankPage() {
  return <h1 className="sr-only">Empty page</h1>;
}
