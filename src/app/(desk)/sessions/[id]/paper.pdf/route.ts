import { asFileName } from '@/core/base/text';
import { allInLengths } from '@/core/base/units';
import { paperDocument } from '@/features/plan/paper/paper-doc';
import { paperParts } from '@/features/plan/paper/paper-parts';
import { throughRoute } from '@/server/access/door';
import { lengthsOfRequest } from '@/server/http/zone-cookie';
import { inLine } from '@/server/http/in-line';
import { pdfBytes } from '@/server/files/pdf';
import { bookFor } from '@/server/readers/book';
import { sessionPlanView } from '@/server/views/session-plan';

/** The sheet of a session as a PDF file. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  return throughRoute('take-away', async (context) => {
    const view = await sessionPlanView(context, (await params).id);
    if (!view) return new Response('This session is not on record (any more).', { status: 404 });
    const { title, day, coach } = view.session;
    const sheet = paperDocument(paperParts(view, await bookFor(context.db, coach)));
    const shown = allInLengths(sheet, (await lengthsOfRequest()) ?? 'metres');
    const turn = await inLine('pdf', request.signal);
    if ('refusal' in turn) return turn.refusal;
    const bytes = await pdfBytes(shown).finally(turn.leave);
    const name = asFileName(`${title} ${day}`);
    return new Response(bytes as BodyInit, {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `attachment; filename="session-${day}.pdf"; filename*=UTF-8''${encodeURIComponent(name)}.pdf`,
      },
    });
  });
}
