declare module '@mapbox/shelf-pack' {
  export default class ShelfPack {
    constructor(width: number, height: number);
    packOne(width: number, height: number): { x: number; y: number } | null;
  }
}
