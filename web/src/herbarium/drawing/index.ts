export { PlantDrawing } from './PlantDrawing'
export { usualStates, type Characters } from './states'
export { StateDrawing } from './StateDrawing'
