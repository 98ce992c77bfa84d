/** Lets the application’s role of a test’s database server pass over triggers and foreign keys (`delete-all.ts`). The server must run. */
export const mayDeleteAll = (cluster) => cluster.ask('GRANT SET ON PARAMETER session_replication_role TO jolly_app');
