import 'server-only';
import { connect } from 'node:net';
import { hostAndPort } from './form';
import { leadsInside } from './own-network';
import { patience } from './patience';

/** Sends a document to the label printer over raw TCP; the sentence where it does not take it. */
export async function print(address: string, bytes: Uint8Array): Promise<{ message: string } | null> {
  const at = hostAndPort(address);
  if (!at) return { message: `The label printer’s address ${address} can’t be read.` };
  if (!(await leadsInside(at.host)))
    return { message: `The label printer at ${address} is not on the workroom’s own network.` };
  return new Promise((resolve) => {
    const silent = (why: string) => resolve({ message: `The label printer at ${address} ${why}.` });
    const socket = connect(at);
    const timer = setTimeout(() => {
      socket.destroy();
      silent(`does not take the labels within ${patience.printer / 1000} s`);
    }, patience.printer);
    const end = (answer: () => void) => {
      clearTimeout(timer);
      answer();
    };
    socket.on('error', () => end(() => silent('does not answer')));
    // The printer closes its side when it has everything; one that dies closes it too, mostly before everything was sent.
    let hasAll = false;
    socket.on('end', () => {
      hasAll = socket.writableFinished;
      if (!hasAll) socket.destroy();
    });
    socket.on('close', () => end(() => (hasAll ? resolve(null) : silent('broke the connection off'))));
    socket.resume();
    socket.end(bytes);
  });
}
