import { readDrawing } from '@/core/files/shape';

/** The question of the page to the worker that reads drawings. */
export const drawingWork = { read: readDrawing };
export type DrawingWork = typeof drawingWork;
