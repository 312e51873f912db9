'use client';

import { extentOf, wallsOf } from '@frank-gauge/core/room';
import {
  collectorPipes,
  type DuctLine,
  type Point3,
  type Solid,
  solidsOf,
} from '@frank-gauge/core/routing';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import {
  BoxGeometry,
  CanvasTexture,
  CatmullRomCurve3,
  CurvePath,
  LineCurve3,
  RepeatWrapping,
  TubeGeometry,
  Vector3,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { useDesign, useDuctTree } from '@/model/use-design';
import { Button } from '@/ui/button';
import { chooseThing } from './choose-thing';
import type { AirTone } from './ducts/air-tone';
import { useDucts } from './ducts/use-ducts';
import { lookAt } from './floor-look';

/** The shop as it stands, to be turned and walked around; ducts in the tone of their air. */
export function SpacePicture() {
  const shop = useDesign();
  const colours = useColours();
  const extent = extentOf(shop.room);
  const middle = extent
    ? {
        x: extent.x0 + extent.width / 2,
        y: extent.y0 + extent.depth / 2,
        far: Math.max(extent.width, extent.depth),
      }
    : { x: 3, y: 2.5, far: 6 };
  if (!hasWebGl()) {
    return (
      <p role="alert" className="max-w-prose p-4">
        This device cannot show 3D. The isometric shows the same ducts as a line drawing.{' '}
        <Button onClick={() => lookAt('isometric')}>Show the isometric</Button>
      </p>
    );
  }
  return (
    <section
      aria-label="The shop in 3D; drag to rotate, scroll to zoom"
      className="relative h-[420px] min-h-0 md:h-auto md:min-h-[320px] md:flex-1 xl:min-h-0"
    >
      <Canvas
        // Only what changes is drawn anew: nothing moves of itself.
        frameloop="demand"
        camera={{
          position: [middle.x - middle.far * 0.35, -middle.far * 0.75, middle.far * 0.8],
          up: [0, 0, 1],
          fov: 42,
        }}
      >
        <color attach="background" args={[colours.paper]} />
        <ambientLight intensity={1.6} />
        <directionalLight position={[middle.x - 4, -6, 10]} intensity={1.8} />
        <Turning shop={shop.id} x={middle.x} y={middle.y} />
        <Room colours={colours} />
        {solidsOf(shop).map((solid, i) => (
          <Box key={`${i} ${solid.name}`} solid={solid} colours={colours} />
        ))}
        <CollectorPipes colours={colours} />
        <Ducts colours={colours} />
      </Canvas>
    </section>
  );
}

interface Colours {
  readonly paper: string;
  readonly ink: string;
  readonly strip: string;
  readonly rule: string;
  readonly air: string;
  /** Faces of machines and of the collector: lighter than the ground in either theme, so that their edges show. */
  readonly machine: string;
  readonly collector: string;
}

/** The theme's colours, written out for what knows no style sheet. */
function useColours(): Colours {
  const [theme, setTheme] = useState('');
  useEffect(() => {
    const look = () =>
      setTheme(getComputedStyle(document.documentElement).getPropertyValue('--paper'));
    look();
    const observer = new MutationObserver(look);
    observer.observe(document.documentElement, { attributes: true });
    return () => observer.disconnect();
  }, []);
  return useMemo(() => {
    const style = getComputedStyle(document.documentElement);
    const of = (name: string) => style.getPropertyValue(name).trim() || theme;
    const [paper, ink, rule] = [of('--paper'), of('--ink'), of('--rule')];
    const isDark = brightness(paper) < brightness(ink);
    return {
      paper,
      ink,
      strip: of('--strip'),
      rule,
      air: of('--air'),
      machine: isDark ? mixed(paper, ink, 0.42) : paper,
      collector: isDark ? mixed(paper, ink, 0.3) : of('--strip'),
    };
  }, [theme]);
}

function hasWebGl(): boolean {
  const canvas = document.createElement('canvas');
  return canvas.getContext('webgl2') !== null;
}

/** From where each shop was last looked at, and at what: the same when 3D is opened again. */
const lastLooks = new Map<string, { readonly from: Vector3; readonly at: Vector3 }>();

/** Turns the view about the room's middle. */
function Turning({
  shop,
  x,
  y,
}: {
  readonly shop: string;
  readonly x: number;
  readonly y: number;
}) {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    const last = lastLooks.get(shop);
    controls.target.set(x, y, 0.9);
    if (last) {
      camera.position.copy(last.from);
      controls.target.copy(last.at);
    }
    controls.maxPolarAngle = Math.PI / 2 - 0.02;
    controls.update();
    const draw = () => {
      lastLooks.set(shop, { from: camera.position.clone(), at: controls.target.clone() });
      invalidate();
    };
    controls.addEventListener('change', draw);
    return () => {
      controls.removeEventListener('change', draw);
      controls.dispose();
    };
  }, [shop, camera, gl, invalidate, x, y]);
  return null;
}

const WALL = 0.06;
const USUAL_CEILING = 2.44;

/** Floor and walls, the walls low so that one sees over them. */
function Room({ colours }: { readonly colours: Colours }) {
  const room = useDesign((shop) => shop.room);
  const extent = extentOf(room);
  if (!extent) return null;
  const { x0, y0, width, depth } = extent;
  const height = (room.ceilingHeight ?? USUAL_CEILING) * 0.3;
  return (
    <>
      <mesh position={[x0 + width / 2, y0 + depth / 2, -0.03]}>
        <boxGeometry args={[width, depth, 0.04]} />
        <meshStandardMaterial color={colours.strip} />
      </mesh>
      {wallsOf(room).map(({ from, to, length }) => (
        <mesh
          key={`${from.x} ${from.y}`}
          position={[(from.x + to.x) / 2, (from.y + to.y) / 2, height / 2]}
          rotation={[0, 0, Math.atan2(to.y - from.y, to.x - from.x)]}
        >
          <boxGeometry args={[length, WALL, height]} />
          <meshStandardMaterial color={colours.rule} />
        </mesh>
      ))}
    </>
  );
}

function Box({ solid, colours }: { readonly solid: Solid; readonly colours: Colours }) {
  const [a, b, , d, e] = solid.corners;
  const c = solid.corners[2];
  if (!a || !b || !c || !d || !e) return null;
  const width = Math.hypot(b.x - a.x, b.y - a.y);
  const depth = Math.hypot(d.x - a.x, d.y - a.y);
  const height = e.z - a.z;
  const isRound =
    solid.layer === 'collector' && ['bin', 'separator', 'filter', 'filterBin'].includes(solid.name);
  return (
    <mesh
      position={[(a.x + c.x) / 2, (a.y + c.y) / 2, a.z + height / 2]}
      rotation={[isRound ? Math.PI / 2 : 0, 0, isRound ? 0 : Math.atan2(b.y - a.y, b.x - a.x)]}
    >
      {isRound ? (
        <cylinderGeometry args={[width / 2, width / 2, height, 32]} />
      ) : (
        <boxGeometry args={[width, depth, height]} />
      )}
      <meshStandardMaterial
        color={solid.layer === 'machines' ? colours.machine : colours.collector}
      />
      {!isRound && (
        <lineSegments>
          <edgesGeometry args={[new BoxGeometry(width, depth, height)]} />
          <lineBasicMaterial color={colours.ink} />
        </lineSegments>
      )}
    </mesh>
  );
}

/** What joins the parts of the collector; made anew only when the collector is another. */
function CollectorPipes({ colours }: { readonly colours: Colours }) {
  const collector = useDesign((shop) => shop.collector);
  const room = useDesign((shop) => shop.room);
  const tubes = useMemo(
    () =>
      collectorPipes({ collector, room }).map(({ part, points, diameter }) => ({
        part,
        tube: tubeThrough(points, diameter / 2),
      })),
    [collector, room],
  );
  return tubes.map(({ part, tube }) => (
    <mesh key={part} geometry={tube}>
      <meshStandardMaterial color={colours.rule} />
    </mesh>
  ));
}

/** The ducts as tubes; a bend is as round as its duct lets it be. */
function Ducts({ colours }: { readonly colours: Colours }) {
  const shopId = useDesign((shop) => shop.id);
  const tree = useDuctTree();
  const { drawn, tone } = useDucts();
  return drawn.map((line) => (
    <Tube
      key={line.run.id}
      line={line}
      colours={colours}
      tone={tone(line.run.id)}
      onClick={() => chooseThing(shopId, tree, line.run.id)}
    />
  ));
}

interface TubeProps {
  readonly line: DuctLine;
  readonly colours: Colours;
  readonly tone: AirTone;
  readonly onClick: () => void;
}

function Tube({ line, colours, tone, onClick }: TubeProps) {
  const { run, hose, legs } = line;
  const first = legs[0];
  const pipe = useMemo(() => {
    if (!first) return null;
    return tubeThrough([first.from, ...legs.map(({ to }) => to)], run.diameter / 2);
  }, [legs, first, run.diameter]);
  const hung = useMemo(
    () => (hose ? hoseTube(hose.from, hose.to, run.diameter / 2) : null),
    [hose, run.diameter],
  );
  const hatch = useMemo(
    () => (tone.state === 'fast' ? hatchTexture(colours) : null),
    [tone.state, colours],
  );
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a mesh of the scene; the list of ducts does the same by keyboard
    <group onClick={onClick}>
      {pipe && (
        <mesh geometry={pipe}>
          <meshStandardMaterial
            color={mixed(colours.rule, colours.air, tone.opacity)}
            map={hatch}
          />
        </mesh>
      )}
      {hung && (
        <mesh geometry={hung}>
          <meshStandardMaterial color={colours.rule} wireframe />
        </mesh>
      )}
    </group>
  );
}

const vector = ({ x, y, z }: Point3) => new Vector3(x, y, z);

function tubeThrough(points: readonly Point3[], radius: number): TubeGeometry {
  const path = new CurvePath<Vector3>();
  points.slice(1).forEach((to, i) => {
    const from = points[i];
    if (from && vector(from).distanceTo(vector(to)) > 1e-3)
      path.add(new LineCurve3(vector(from), vector(to)));
  });
  return new TubeGeometry(path as never, Math.max(8, points.length * 24), radius, 16);
}

/** A hose sags a little between its ends. */
function hoseTube(from: Point3, to: Point3, radius: number): TubeGeometry {
  const middle = vector(from).lerp(vector(to), 0.5);
  middle.z -= vector(from).distanceTo(vector(to)) * 0.12;
  return new TubeGeometry(new CatmullRomCurve3([vector(from), middle, vector(to)]), 24, radius, 12);
}

/** Stripes for air that is too fast. */
function hatchTexture({ air, paper }: Colours): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = 16;
  const context = canvas.getContext('2d');
  if (context) {
    context.fillStyle = paper;
    context.fillRect(0, 0, 16, 16);
    context.fillStyle = air;
    context.fillRect(0, 0, 8, 16);
  }
  const texture = new CanvasTexture(canvas);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.repeat.set(40, 1);
  return texture;
}

/** Red, green and blue of a colour, each of 255. */
const parts = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

const brightness = (hex: string) => parts(hex).reduce((sum, part) => sum + part, 0);

/** One colour toward another by a share. */
function mixed(from: string, to: string, share: number): string {
  const [a, b] = [parts(from), parts(to)];
  const byte = (i: number) => Math.round((a[i] ?? 0) + ((b[i] ?? 0) - (a[i] ?? 0)) * share);
  return `#${[0, 1, 2].map((i) => byte(i).toString(16).padStart(2, '0')).join('')}`;
}
