import { handlers } from './handlers.ts';
import { serve } from './serve.ts';

/** One worker for everything that takes time. */
serve(handlers);
