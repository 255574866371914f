/** The computation of Eldrin, one namespace a subject. Plain TypeScript: no interface, no database, no files. */
export * as units from './units'
export * as fasteners from './fasteners'
export * as packs from './packs'
export * as sequence from './sequence'
export * as job from './job'
