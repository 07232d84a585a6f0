// A thread reads TypeScript only once it has been told how.
import { register } from 'tsx/esm/api';

register();
await import('./pieceChecker.ts');
