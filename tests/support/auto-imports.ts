import * as vue from 'vue'

/** What Nuxt imports by itself into stores and composables, for tests that run without it. */
Object.assign(
  globalThis,
  Object.fromEntries(
    (
      [
        'computed',
        'effectScope',
        'onScopeDispose',
        'reactive',
        'readonly',
        'ref',
        'shallowReactive',
        'shallowRef',
        'toRef',
        'unref',
        'watch',
        'watchEffect',
      ] as const
    ).map(name => [name, vue[name]]),
  ),
)
