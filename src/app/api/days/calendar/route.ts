import { planCalendar } from '@/features/days/calendar';

export const dynamic = 'force-dynamic';

/** The plan as an iCalendar file: all of it, `?person=` one person's, `?order=` one order's. */
export async function GET(request: Request) {
  const { searchParams } = new URL(request.url);
  const number = (name: string) => {
    const text = searchParams.get(name);
    return text !== null && /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;
  };
  const [personId, orderId] = [number('person'), number('order')];
  const text = await planCalendar({
    ...(personId !== undefined && { personId }),
    ...(orderId !== undefined && { orderId }),
  });
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="jolly-bolt.ics"',
      'cache-control': 'no-store',
    },
  });
}
