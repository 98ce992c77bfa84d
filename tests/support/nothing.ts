// Stands in for next's server-only marker and cache invalidation where actions run without a Next server.
export const revalidatePath = () => undefined;
export const cookies = async () => ({
  get: (name: string) => (globalThis as { testCookies?: Record<string, { value: string }> }).testCookies?.[name],
});
export const unstable_rethrow = () => undefined;
export const headers = async () => new Headers((globalThis as { testHeaders?: Record<string, string> }).testHeaders);
