declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  class ClipperOffset {
    constructor(miterLimit?: number, arcTolerance?: number);
    AddPath(path: IntPoint[], joinType: number, endType: number): void;
    Execute(solution: IntPoint[][], delta: number): void;
  }
  const ClipperLib: {
    Clipper: { Orientation(path: IntPoint[]): boolean; Area(path: IntPoint[]): number };
    ClipperOffset: typeof ClipperOffset;
    JoinType: { jtSquare: number; jtRound: number; jtMiter: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
