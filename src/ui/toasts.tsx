'use client';

import { Toaster, Toast, createToaster, Stack } from '@chakra-ui/react';

/** Short messages at the lower edge, with a way back where there is one. */
export const store = createToaster({ placement: 'bottom', pauseOnPageIdle: true, duration: 8000 });

export default function Toasts() {
  return (
    <Toaster toaster={store} insetInline={{ mdDown: '4' }}>
      {(toast) => (
        <Toast.Root width={{ md: 'md' }} bg="fg" color="bg" borderRadius="sm" alignItems="center">
          <Stack gap="1" flex="1">
            <Toast.Title>{toast.title}</Toast.Title>
            {toast.description && <Toast.Description>{toast.description}</Toast.Description>}
          </Stack>
          {toast.action && (
            <Toast.ActionTrigger fontWeight="700" color="tape" borderWidth="0" px="3" py="2">
              {toast.action.label}
            </Toast.ActionTrigger>
          )}
          <Toast.CloseTrigger color="bg" position="static" />
        </Toast.Root>
      )}
    </Toaster>
  );
}
