const { TestEnvironment } = require('jest-environment-jsdom')
// react-router needs web APIs that jsdom lacks; take Node's
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup()
    // React Aria escapes attribute values for its queries; jsdom has no CSS object
    this.global.CSS ??= { escape: (text) => text.replace(/[^\w-]/g, '\\$&') }
    for (const k of [
      'TextEncoder',
      'TextDecoder',
      'fetch',
      'Request',
      'Response',
      'Headers',
      'ReadableStream',
      'WritableStream',
      'TransformStream',
      'TextDecoderStream',
      'TextEncoderStream',
      'AbortController',
      'AbortSignal',
      'URLSearchParams',
      'structuredClone',
      'Uint8Array',
    ]) {
      if (k in globalThis) this.global[k] = globalThis[k]
    }
  }
}
