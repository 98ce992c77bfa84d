import { expose } from 'comlink';
import { sheetWork } from './sheet-check';

// Checks a sheet away from the page, so that typing goes on while ten thousand rows are read.

expose(sheetWork);
