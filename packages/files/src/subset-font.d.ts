declare module 'subset-font' {
  /** A font with the glyphs of some characters only. @throws where it is no font. */
  export default function subsetFont(
    font: Uint8Array,
    characters: string,
    options: { readonly targetFormat: 'woff2' | 'truetype' },
  ): Promise<Buffer>;
}
