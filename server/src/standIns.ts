import { Router } from 'express';
import { photograph } from './camera.ts';
import { threadShop } from './threadShop.ts';

/**
 * Devices and services that Junctura works with, simulated: they say that they are, and answer the same every time. The printer
 * makes everything a little smaller, and not the same in both directions, as printers do; the scale shows tenths of a gram; the
 * camera sees colours under a warm lamp; some shelves of the shop are empty.
 */
export function standIns(): Router {
  const router = Router();
  router.get('/printer', (_request, response) => {
    response.json({ simulated: true, name: 'Simulated printer', across: 0.972, down: 0.984 });
  });
  router.get('/shop', (_request, response) => {
    response.json(threadShop());
  });
  router.get('/scale', (_request, response) => {
    response.json({ simulated: true, name: 'Simulated kitchen scale', grams: 3.9, stepGrams: 0.1 });
  });
  router.get('/camera', (_request, response) => {
    response.type('svg').send(photograph());
  });
  return router;
}
