/** A danger of the work, said at its step in one line, with more for who wants it. */
export interface DangerCaution {
  readonly id: string;
  readonly title: string;
  readonly line: string;
  readonly more: string;
}

/**
 * Every caution, for its step and for the page that collects them. They defer to labels, local rules and qualified people.
 */
export const CAUTIONS = [
  {
    id: 'lifting',
    title: 'Lifting wet bags',
    line: 'Wet bags weigh as much as their mix and its water: slide them, use a trolley, or lift with two.',
    more: 'Move bags before they are watered. Keep your back straight and the bag close; if in doubt, empty some of it first.',
  },
  {
    id: 'loads',
    title: 'Balconies and roofs',
    line: 'What a balcony or roof bears is for the building’s owner or a structural engineer to say.',
    more: 'Wet weight counts, with people on it. Spread bags along walls rather than in the middle, and leave drains and ways out free.',
  },
  {
    id: 'canes',
    title: 'Cane tops',
    line: 'Cap cane tops: they stand at eye height.',
    more: 'Corks, caps or a bent top. Look out when you bend over a bag.',
  },
  {
    id: 'dust',
    title: 'Dust of lime, meals, perlite and compost',
    line: 'Damp it first; mask and gloves with lime, bone meal and perlite.',
    more: 'Lime burns eyes and wet skin: rinse at once and see a doctor if it stings on. Meals attract dogs, and make them ill: mix them in, and shut sacks away.',
  },
  {
    id: 'compost',
    title: 'Opening compost',
    line: 'Open sacks away from your face and wash your hands: compost can carry Legionella.',
    more: 'Work in the open or with the door open, do not breathe the dust, and see a doctor about a cough with fever after it.',
  },
  {
    id: 'sprays',
    title: 'Sprays and baits',
    line: 'The label is the law: gloves and eye protection, the dose that it says, the days until picking.',
    more: 'Only what is permitted where you live and for this crop. Never in wind or sun, never over open flowers while bees fly; keep children and animals away until it is dry, baits out of their reach. Home brews are not harmless: test a leaf and wait two days.',
  },
  {
    id: 'heat-treating',
    title: 'Heating bags',
    line: 'Fabric bags only, within their maker’s limit, watched and with a window open.',
    more: 'Never film or plastic: it makes fumes and melts. Not in an oven for food while anything smells, and never left alone.',
  },
  {
    id: 'film',
    title: 'Sealing film',
    line: 'Sealing film with heat makes fumes: outdoors or with the window open.',
    more: 'Mind the iron and what lies under it.',
  },
  {
    id: 'hot-house',
    title: 'Hot greenhouses',
    line: 'Drink, and work early: under glass it is far hotter than outside.',
    more: 'Dizzy, sick or no longer sweating: out into the shade, drink, and get help.',
  },
  {
    id: 'electricity',
    title: 'Electricity near water',
    line: 'Pumps, lamps and heaters on a residual-current device, fitted by an electrician.',
    more: 'Plugs up and dry, cables off the floor, everything off before hands go into water.',
  },
  {
    id: 'containers',
    title: 'What food grows in',
    line: 'Only containers that were made for food or plants.',
    more: 'Not what held oil, paint or chemicals, nor treated timber and old tyres.',
  },
  {
    id: 'leaves',
    title: 'Leaves and unknown plants',
    line: 'Tomato and pepper leaves, and plants that you do not know, are not for eating.',
    more: 'Nor potatoes that turned green. Allergies and stings as always: keep what you need at hand.',
  },
  {
    id: 'cutting',
    title: 'Cutting holes and slits',
    line: 'Cut away from yourself, with the bag lying still; a hot nail makes fumes: outdoors only.',
    more: 'On a firm board, with a sharp blade, and nobody’s hand on the other side.',
  },
  {
    id: 'feeds',
    title: 'Feeds',
    line: 'The label is the law: its dose is the most. Gloves, and eye cover for powders and concentrates.',
    more: 'Meals and powders are dusty: mask, damp them, and keep dogs off. Only food-safe cans, kept for feed and marked, out of children’s reach. What is left over goes on a bed, never into a drain or a pond.',
  },
  {
    id: 'acids',
    title: 'Correcting pH',
    line: 'Acids and alkalis that correct pH burn: goggles, gloves, product into water, by its label.',
    more: 'Never water into product, and never two of them together. Rinse splashes for long, and see a doctor about eyes.',
  },
  {
    id: 'tanks',
    title: 'Drums and tanks',
    line: 'Fill a drum where it stands: full it weighs more than a person. Keep it covered, and children away.',
    more: 'Only food-safe drums, on level ground, away from anything electric.',
  },
  {
    id: 'blades',
    title: 'Blades',
    line: 'Wipe the blade before the next plant where one is sick, and cut away from your hand.',
    more: 'Alcohol or a disinfectant by its label. Sap of some plants irritates skin: gloves.',
  },
  {
    id: 'fleece',
    title: 'Fleece in wind',
    line: 'Weigh fleece and cloth down along all edges; loose, it takes plants with it.',
    more: 'Off in the morning: under it plants cook in the sun.',
  },
  {
    id: 'stored-fruit',
    title: 'Stored fruit',
    line: 'Throw out whatever has mould, whole: what is cut away leaves what cannot be seen.',
    more: 'Green tomatoes hold a bitter substance that upsets stomachs: few of them at a time, and riper ones for children. Clean the shelf before new fruit lies on it.',
  },
] as const satisfies readonly DangerCaution[];

export type CautionId = (typeof CAUTIONS)[number]['id'];
