'use client';

import { toast } from 'sonner';
import { Button } from '@/ui/button';
import { serialOf, useCable } from './cable-meter';

/** Connects a meter on a cable, in browsers that can; nothing where one is connected, or none can be. */
export function ConnectCable({ className }: { readonly className?: string }) {
  const port = useCable((state) => state.port);
  const serial = serialOf();
  if (port || !serial) return null;
  const connect = async () => {
    try {
      useCable.setState({ port: await serial.requestPort() });
    } catch (error) {
      // Whoever chooses no port has changed their mind.
      if (error instanceof DOMException && error.name === 'NotFoundError') return;
      toast(
        'The browser could not reach the meter. Check its cable, and that nothing else uses it.',
      );
    }
  };
  return (
    <Button look="quiet" className={className} onClick={() => void connect()}>
      Connect a meter by cable
    </Button>
  );
}
