import { shopJsonSchema } from '@frank-gauge/core/journal';

export const dynamic = 'force-static';

/** GET /schema/shop.json: the shop file's format, for whoever reads or writes one elsewhere. */
export function GET(): Response {
  return Response.json(shopJsonSchema(), {
    headers: { 'content-type': 'application/schema+json' },
  });
}
