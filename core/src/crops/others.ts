import { prior, sizes, type Crop } from './crop.ts';

export const pepper: Crop = {
  id: 'pepper',
  name: 'Pepper',
  depth: 'level',
  kcMid: 1.05,
  kcEnd: 0.9,
  depletion: 0.3,
  ball: { heightMillimetres: 85, widthMillimetres: 85 },
  fruit: 'green',
  habits: [
    {
      id: 'bush',
      name: 'Bush',
      words: 'Branches after its first fork.',
      fullHeightMillimetres: prior(750, 450, 1200, 'mm'),
      canopySquareMetres: prior(0.28, 0.15, 0.5, 'm²'),
      weeksToFull: prior(11, 8, 14, 'weeks'),
      bagSizes: sizes(3, 5, 7, 10),
    },
    {
      id: 'dwarf',
      name: 'Small-fruited, dwarf',
      words: 'For pots and sills.',
      fullHeightMillimetres: prior(400, 250, 600, 'mm'),
      canopySquareMetres: prior(0.12, 0.06, 0.25, 'm²'),
      weeksToFull: prior(9, 7, 12, 'weeks'),
      bagSizes: sizes(1, 3, 3, 5),
    },
  ],
};

export const aubergine: Crop = {
  id: 'aubergine',
  name: 'Aubergine',
  depth: 'level',
  kcMid: 1.05,
  kcEnd: 0.9,
  depletion: 0.45,
  ball: { heightMillimetres: 90, widthMillimetres: 90 },
  fruit: 'dark',
  habits: [
    {
      id: 'bush',
      name: 'Bush',
      words: 'Heavy fruit; two or three canes.',
      fullHeightMillimetres: prior(900, 600, 1300, 'mm'),
      canopySquareMetres: prior(0.4, 0.2, 0.7, 'm²'),
      weeksToFull: prior(11, 8, 14, 'weeks'),
      bagSizes: sizes(3, 5, 7, 10),
    },
  ],
};

export const cucumber: Crop = {
  id: 'cucumber',
  name: 'Cucumber',
  depth: 'level',
  kcMid: 1.0,
  kcEnd: 0.75,
  depletion: 0.5,
  ball: { heightMillimetres: 85, widthMillimetres: 85 },
  fruit: 'long-green',
  habits: [
    {
      id: 'climbing',
      name: 'Climbing',
      words: 'Up a string or net.',
      fullHeightMillimetres: prior(2000, 1500, 3000, 'mm'),
      canopySquareMetres: prior(0.65, 0.35, 1.1, 'm²'),
      weeksToFull: prior(8, 6, 11, 'weeks'),
      bagSizes: sizes(3, 5, 7, 10),
    },
    {
      id: 'bush',
      name: 'Bush',
      words: 'Short vines over the rim.',
      fullHeightMillimetres: prior(500, 300, 800, 'mm'),
      canopySquareMetres: prior(0.4, 0.2, 0.7, 'm²'),
      weeksToFull: prior(7, 5, 9, 'weeks'),
      bagSizes: sizes(3, 5, 5, 10),
    },
  ],
};
