/** Every screen that can be gone to without a bag's name in its address. */
export const VIEWS = {
  places: [
    '/round',
    '/bags',
    '/bags/new',
    '/season',
    '/season/weather',
    '/season/away',
    '/round/planting',
    '/tally',
    '/settings',
    '/files',
    '/help',
    '/help/dangers',
  ],
  bench: [
    ...[
      'size',
      'mix',
      'fill',
      'film',
      'load',
      'varieties',
      'depth',
      'supports',
      'training',
      'regimes',
      'batch',
      'feeds',
    ],
    ...['drip', 'tanks', 'measures', 'shop', 'shed', 'costs'],
  ].map((topic) => `/bench/${topic}`),
} as const;
