/** The stages at which each kind of plant is seen. */
export const STAGES = {
  PLANT: ['ROSETTE', 'LEAFY', 'FLOWERING', 'FRUITING', 'WINTER'],
  FERN: ['SPORING'],
  LICHEN: ['THALLUS'],
  FUNGUS: ['FRUIT_BODY'],
} as const
