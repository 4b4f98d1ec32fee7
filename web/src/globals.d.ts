/// <reference types="vite-plugin-pwa/client" />

/** What the interface and the server agree on, in short: a pack made by another contract is not read. */
declare const __CONTRACT__: string
