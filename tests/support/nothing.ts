// Stands in for next's server-only marker and cache invalidation where actions run without a Next server.
export const revalidatePath = () => undefined;
