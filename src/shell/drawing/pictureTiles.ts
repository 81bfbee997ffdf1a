/** A picture that was cut into tiles: the hash they lie under, its pixels, its largest level. */
export interface TiledPicture {
  sha256: string;
  width: number;
  height: number;
  tile: number;
  top: number;
}

/** A picture's own tiles, as the deep-zoom viewer asks for them. */
export const pictureTiles = ({ sha256, width, height, tile, top }: TiledPicture) => ({
  width,
  height,
  tileSize: tile,
  tileOverlap: 0,
  minLevel: 0,
  maxLevel: top,
  getTileUrl: (level: number, x: number, y: number) =>
    `/api/tiles/${sha256}/${level}/${x}_${y}.jpg`,
});
