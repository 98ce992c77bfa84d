// Stands in for next/navigation in tests of components: where the page would have gone.

/** Requests to the router since `gone` was emptied. */
export const gone: string[] = [];

const router = {
  push: (to: string) => void gone.push(to),
  replace: (to: string) => void gone.push(to),
  refresh: () => void gone.push('again'),
  back: () => void gone.push('back'),
  prefetch() {},
};

export const useRouter = () => router;
export const usePathname = () => '/';
export const useSearchParams = () => new URLSearchParams();
