import { kindBook } from '@/core/covers';
import { checkSheet } from '../sheet';
import readSheet from './read-sheet';
import type { SheetAnswer, SheetQuestion } from './pool';

// A process of its own for files: a hostile one can take neither the server's time nor its memory, and the process is ended with it. One that
// answered waits for the next question, and ends with the server.

async function answer(question: SheetQuestion): Promise<SheetAnswer> {
  if (question.ask === 'read') return { is: 'read', sheet: await readSheet({ bytes: question.bytes }) };
  const { sheet, fields, room, isPartial } = question;
  const { own, withdrawn, cloths, clothIds, workroom, usualDue } = room;
  const whole = {
    kinds: kindBook(own, withdrawn),
    cloths: new Map(cloths),
    clothIds: new Map(clothIds),
    workroom,
    usualDue,
  };
  return { is: 'checked', checked: checkSheet(sheet, fields, whole, isPartial) };
}

process.on('message', (question: SheetQuestion) => {
  void answer(question).then((result) => process.send!(result));
});
process.on('disconnect', () => process.exit(0));
