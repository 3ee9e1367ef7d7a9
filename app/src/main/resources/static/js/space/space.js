// The page of space shows what the upkeep has done as soon as it has.

import { renew } from '../app.js';
import { listen } from '../live.js';

listen(
  '/events',
  ({ kinds }) => {
    if (kinds.includes('space')) renew('#space', '/space/now');
  },
  (_, again) => {
    if (again) renew('#space', '/space/now');
  },
);
