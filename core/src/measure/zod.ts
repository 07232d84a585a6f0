import { z } from 'zod';

// Compiled parsers need `new Function`, which the application's content policy forbids. It must be settled before the first
// schema is made, so every schema takes `z` from here.
z.config({ jitless: true });

export { z };
