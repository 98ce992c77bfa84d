import { readDrawing } from '@/core/files/shape';

/** What the page asks of the worker that reads drawings. */
export const drawingWork = { read: readDrawing };
export type DrawingWork = typeof drawingWork;
