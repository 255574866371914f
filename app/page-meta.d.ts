import type { Permission } from '../core/people/roles'

declare module '#app' {
  interface PageMeta {
    /** What somebody has to be allowed, to have a use for this view. */
    wants?: Permission
  }
}
declare module 'vue-router' {
  interface RouteMeta {
    wants?: Permission
  }
}

export {}
