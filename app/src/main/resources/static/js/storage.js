// The page of storage shows what the upkeep has done as soon as it has.

import { renew } from './app.js';
import { listen } from './live.js';

listen(
  '/events',
  ({ kinds }) => {
    if (kinds.includes('space')) renew('#storage', '/storage/now');
  },
  (_, again) => {
    if (again) renew('#storage', '/storage/now');
  },
);
