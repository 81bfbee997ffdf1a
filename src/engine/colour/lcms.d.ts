declare module 'lcms-wasm' {
  export interface Lcms {
    HEAPU8: Uint8Array;
    HEAPU16: Uint16Array;
    HEAPF32: Float32Array;
    _malloc(bytes: number): number;
    _free(pointer: number): void;
    _cmsOpenProfileFromMem(pointer: number, bytes: number): number;
    _cmsDoTransform(transform: number, input: number, output: number, pixels: number): void;
    _cmsCreateLab4Profile(white: number): number;
    cmsCloseProfile(profile: number): void;
    cmsGetProfileInfoASCII(
      p: number,
      info: number,
      language: string,
      country: string,
    ): string;
    cmsGetColorSpaceASCII(profile: number): string | null;
    cmsCreateTransform(
      input: number,
      inputFormat: number,
      output: number,
      outputFormat: number,
      intent: number,
      flags: number,
    ): number;
    cmsDeleteTransform(transform: number): void;
  }
  export function instantiate(options?: {
    locateFile?: (name: string) => string;
    print?: (text: string) => void;
    printErr?: (text: string) => void;
  }): Promise<Lcms>;
  export const cmsInfoDescription: number;
  export const TYPE_RGB_16: number;
  export const TYPE_RGB_8: number;
  export const TYPE_GRAY_16: number;
  export const TYPE_CMYK_16: number;
  export const INTENT_SATURATION: number;
  export const INTENT_ABSOLUTE_COLORIMETRIC: number;
  export const INTENT_PERCEPTUAL: number;
  export const INTENT_RELATIVE_COLORIMETRIC: number;
  export const cmsFLAGS_NOCACHE: number;
  export const cmsFLAGS_NOOPTIMIZE: number;
  export const cmsFLAGS_BLACKPOINTCOMPENSATION: number;
}
