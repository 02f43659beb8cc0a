export { itemOfPlace, stillOff } from './places'
export { typedLook, type TypedLook } from './typedLook'
export { typedWork, type TypedWork } from './typedWork'
