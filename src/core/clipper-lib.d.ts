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
  class Clipper {
    AddPath(path: IntPoint[], polyType: number, isClosed: boolean): boolean;
    Execute(clipType: number, solution: IntPoint[][]): boolean;
    static Orientation(path: IntPoint[]): boolean;
    static Area(path: IntPoint[]): number;
  }
  const ClipperLib: {
    Clipper: typeof Clipper;
    ClipType: { ctIntersection: number; ctDifference: number };
    PolyType: { ptSubject: number; ptClip: number };
    ClipperOffset: typeof ClipperOffset;
    JoinType: { jtSquare: number; jtRound: number; jtMiter: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
