export { exactMomentSchema, figureSchema, idSchema, labelSchema, momentSchema, uuidSchema } from './basics'
export { cardSchema, conditionsSchema, limitSchema, most } from './card'
export { cardsSchema } from './cards'
export { contradictionsIn, limitContradiction, type Contradiction } from './contradictions'
export { datesAhead } from './datesAhead'
export { jsonSchemas } from './jsonSchema'
export { readDocument, type ReadResult } from './read'
export {
  comparisonSchema,
  entrySchema,
  historySchema,
  instrumentSchema,
  readingSchema,
  runSchema,
  unitInRunSchema,
} from './run'
export {
  mostPhotoBytes,
  mostPhotoEdge,
  photoHeadSchema,
  photoSchema,
  photosNamed,
  type Photo,
  type PhotoHead,
} from './photo'
export { coilPlanSchema, coilSchema, rewindEntrySchema, rewindSchema } from './rewind'
export { sentencesOf, type PathProblem } from './sentences'
export {
  accessSchema,
  personSchema,
  placeSchema,
  shopRewindSchema,
  shopRunSchema,
  shopSchema,
  shopSettingsSchema,
  unitSchema,
  type Access,
  type Person,
  type Shop,
  type ShopRewind,
  type ShopRun,
  type ShopSettings,
  type Unit,
  type UnitPlace,
} from './shop'
