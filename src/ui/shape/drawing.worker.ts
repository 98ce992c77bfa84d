import { expose } from 'comlink';
import { drawingWork } from './drawing-work';

// Reads a drawing away from the page: however large or odd it is, the page goes on, and ends it.

expose(drawingWork);
