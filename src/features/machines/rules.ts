import Joi from 'joi';
import { keepableText } from '@/features/commands/keepable-text';
import type { MachinesForm } from './form';

const address = keepableText().allow('').trim().max(200).required();

export const machinesShape = Joi.object<MachinesForm>({ cutter: address, printer: address, tape: address, supplier: address }); // prettier-ignore
