import { benchBook } from './scripts/bench-book';
await benchBook(); await benchBook(); await benchBook();
