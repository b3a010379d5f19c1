import { revalidatePath } from 'next/cache';
import { throughRoute } from '@/server/access/door';
import { sayTaken } from '@/server/access/say-taken';
import { isTable, tableText } from '@/server/files/export-tables';
import { isIncoming, lookAtTable, takeOverTable } from '@/server/files/import-tables';
import { bodyLimits } from '@/server/http/body-limits';
import { readBytes, refusal } from '@/server/http/body';
import { inLine } from '@/server/http/in-line';
import { fileResponse, inBytes } from '@/server/http/take';

interface Props {
  params: Promise<{ name: string }>;
}

const none = () =>
  refusal({ problems: [{ field: 'table', message: 'There is no table of that name.' }], status: 404 });

/** A table of the book as CSV. */
export async function GET(request: Request, { params }: Props): Promise<Response> {
  const { name } = await params;
  return throughRoute('rule-anew', async (context) => {
    if (!isTable(name)) return none();
    await sayTaken(context, 'table.take', `${name}.csv`);
    const turn = await inLine('export', request.signal);
    if ('refusal' in turn) return turn.refusal;
    return fileResponse(
      {
        name: `${name}-${context.today}.csv`,
        type: 'text/csv; charset=utf-8; header=present',
        pieces: () => inBytes(tableText(context, name)),
      },
      turn.leave,
    );
  });
}

/** Brings a table in, as it was sent: `?look=1` only says what it would do; `map` says which column is which, as JSON. */
export async function POST(request: Request, { params }: Props): Promise<Response> {
  const { name } = await params;
  const asked = new URL(request.url).searchParams;
  return throughRoute(
    'rule',
    async (context) => {
      if (!isIncoming(name)) return none();
      const mapping = parsed(asked.get('map'));
      const body = await readBytes(request, bodyLimits.table);
      if (!body.ok) return refusal(body);
      const outcome =
        asked.get('look') === '1'
          ? await lookAtTable(context, name, body.value, mapping)
          : await takeOverTable(
              context,
              name,
              body.value,
              mapping,
              (asked.get('name') ?? 'a table').slice(0, 120),
            );
      if (!outcome.ok) return refusal({ problems: outcome.problems });
      if (asked.get('look') !== '1') revalidatePath('/', 'layout');
      return Response.json(outcome.value);
    },
    'book.import',
  );
}

/** What it says as JSON; a text that is none is refused as a mapping later. */
function parsed(text: string | null): unknown {
  if (text === null) return null;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}
