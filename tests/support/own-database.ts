// Files of database tests run beside each other, each on a database server of its own (`scripts/test.mjs` starts them).
const urls = process.env.DATABASE_URLS?.split(' ') ?? [];
const own = urls[(Number(process.env.VITEST_POOL_ID ?? 1) - 1) % Math.max(1, urls.length)];
if (own) process.env.DATABASE_URL = own;
