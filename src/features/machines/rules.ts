import Joi from 'joi';
import { byRules } from '@/features/commands/perform';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import type { MachinesForm } from './form';

const address = keepableText().allow('').trim().max(200).required();

export const machinesShape = Joi.object<MachinesForm>({
  cutter: address,
  printer: address,
  tape: address,
  supplier: address,
});

/** Which lay a machine is asked about. */
export const readLayOf = byRules<{ batchId: number; clothId: number }>(
  Joi.object({ batchId: recordId('batch'), clothId: recordId('cloth') }),
);
