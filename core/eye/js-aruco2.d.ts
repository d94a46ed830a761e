/** The part of the library of coded marks that is used; it comes without types. */
declare module 'js-aruco2' {
  interface Marker {
    readonly id: number;
    readonly hammingDistance: number;
    /** Clockwise from the mark’s own upper left corner, px. */
    readonly corners: readonly { readonly x: number; readonly y: number }[];
  }
  interface Library {
    readonly AR: {
      readonly Dictionary: new (name: string) => { readonly codeList: readonly string[] };
      readonly Detector: new (config: {
        readonly dictionaryName: string;
        readonly maxHammingDistance: number;
      }) => {
        detectImage(width: number, height: number, rgba: Uint8Array | Uint8ClampedArray): Marker[];
      };
    };
  }
  const aruco: Library;
  export default aruco;
}
