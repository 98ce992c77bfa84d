import { templateSheet } from '@/features/orders/template';

/** A sheet to fill in: `?as=csv` or `?as=xlsx`. */
export async function GET(request: Request) {
  const as = new URL(request.url).searchParams.get('as') === 'xlsx' ? 'xlsx' : 'csv';
  const type =
    as === 'csv' ? 'text/csv; charset=utf-8' : 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
  return new Response((await templateSheet(as)) as BodyInit, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="orders-template.${as}"` },
  });
}
