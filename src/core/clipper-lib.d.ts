declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  interface Offset {
    AddPath(path: IntPoint[], joinType: number, endType: number): void;
    Execute(solution: IntPoint[][], delta: number): void;
  }
  interface Clipping {
    AddPath(path: IntPoint[], polyType: number, isClosed: boolean): boolean;
    Execute(clipType: number, solution: IntPoint[][]): boolean;
  }
  const ClipperLib: {
    Clipper: {
      new (): Clipping;
      Orientation(path: IntPoint[]): boolean;
      Area(path: IntPoint[]): number;
    };
    ClipperOffset: new (miterLimit?: number, arcTolerance?: number) => Offset;
    ClipType: { ctIntersection: number; ctDifference: number };
    PolyType: { ptSubject: number; ptClip: number };
    JoinType: { jtSquare: number; jtRound: number; jtMiter: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
