declare module 'bidi-js' {
  interface Bidi {
    /** Embedding levels of each UTF-16 unit (UAX #9); odd ones run right to left. */
    getEmbeddingLevels(text: string, direction: 'ltr' | 'rtl'): { readonly levels: Uint8Array };
  }
  export default function bidiFactory(): Bidi;
}
