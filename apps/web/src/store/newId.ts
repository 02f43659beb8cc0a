/** The ids of everything made here: UUIDs of version 7, from the time and `getRandomValues`, which every browser has. */
export { v7 as newId } from 'uuid'
