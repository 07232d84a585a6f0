import { Router } from 'express';

/**
 * Devices that Junctura works with, simulated: they say that they are, and answer the same every time.
 * The printer makes everything a little smaller, and not the same in both directions, as printers do.
 */
export function standIns(): Router {
  const router = Router();
  router.get('/printer', (_request, response) => {
    response.json({ simulated: true, name: 'Simulated printer', across: 0.972, down: 0.984 });
  });
  return router;
}
