import type { CreateToasterReturn } from '@chakra-ui/react';

type Toast = Parameters<CreateToasterReturn['create']>[0];

/** Short messages at the lower edge. What shows them is loaded after the page: none is needed to draw it. */
export const toaster = {
  create: (toast: Toast) => void import('./toasts').then(({ store }) => store.create(toast)),
};
