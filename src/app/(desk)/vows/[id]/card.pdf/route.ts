import { allInLengths } from '@/core/base/units';
import { cardDocument } from '@/features/vows/card-doc';
import { cardSizes, type CardSize } from '@/features/vows/card-sheet';
import { throughRoute } from '@/server/access/door';
import { lengthsOfRequest } from '@/server/http/zone-cookie';
import { inLine } from '@/server/http/in-line';
import { pdfBytes } from '@/server/files/pdf';
import { cardView } from '@/server/views/vows';

/** An address of a vow, as a card may carry it. */
const vowLink = /^https?:\/\/[\w.:[\]-]{1,120}\/vow\/[\w-]{22}$/;

/** A card as PDF. Its link is in the body of what is sent: an address would be written down on the way. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  return throughRoute('take-away', async (context) => {
    const view = await cardView(context, (await params).id);
    if (!view) return new Response('This vow is not on record (any more).', { status: 404 });
    const form = new URLSearchParams((await request.text()).slice(0, 2000));
    const size = cardSizes.find((one) => one === form.get('size')) ?? ('A6' satisfies CardSize);
    const asked = form.get('link') ?? '';
    const card = allInLengths(view.card, (await lengthsOfRequest()) ?? 'metres');
    const shown = cardDocument(card, size, vowLink.test(asked) ? asked : null);
    const turn = await inLine('pdf', request.signal);
    if ('refusal' in turn) return turn.refusal;
    const bytes = await pdfBytes(shown).finally(turn.leave);
    return new Response(bytes as BodyInit, {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'attachment; filename="vow.pdf"',
        'cache-control': 'private, no-store',
      },
    });
  });
}
