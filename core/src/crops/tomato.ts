import { prior, type Crop } from './crop.ts';

export const tomato: Crop = {
  id: 'tomato',
  name: 'Tomato',
  depth: 'stem-roots',
  kcMid: 1.15,
  kcEnd: 0.8,
  depletion: 0.4,
  ball: { heightMillimetres: 90, widthMillimetres: 90 },
  fruit: 'red',
  habits: [
    {
      id: 'tall',
      name: 'Tall, all season',
      words: 'Grows until it is stopped; string or tall stake.',
      fullHeightMillimetres: prior(2100, 1600, 3000, 'mm'),
      canopySquareMetres: prior(0.6, 0.35, 1, 'm²'),
      weeksToFull: prior(11, 8, 15, 'weeks'),
    },
    {
      id: 'bush',
      name: 'Bush, one flush',
      words: 'Stops by itself; a small cage.',
      fullHeightMillimetres: prior(1000, 600, 1400, 'mm'),
      canopySquareMetres: prior(0.45, 0.25, 0.8, 'm²'),
      weeksToFull: prior(8, 6, 10, 'weeks'),
    },
    {
      id: 'dwarf',
      name: 'Dwarf',
      words: 'Short and stout, may bear all season.',
      fullHeightMillimetres: prior(700, 400, 1200, 'mm'),
      canopySquareMetres: prior(0.3, 0.15, 0.5, 'm²'),
      weeksToFull: prior(9, 7, 12, 'weeks'),
    },
    {
      id: 'micro',
      name: 'Micro-dwarf',
      words: 'Fits a sill pot.',
      fullHeightMillimetres: prior(250, 120, 400, 'mm'),
      canopySquareMetres: prior(0.06, 0.03, 0.12, 'm²'),
      weeksToFull: prior(6, 5, 8, 'weeks'),
    },
  ],
};
