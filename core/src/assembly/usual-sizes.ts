import { MEDIA } from '../collector/filter';
import type { CollectorParts } from '../design/edit-candidates';
import type { Media, Separator } from '../design/schema';
import { toSI } from '../quantity/units';

/** Sizes (m) and masses (kg) of every part of a collector, as typed or as such parts usually are. */
export interface AssemblySizes {
  readonly bin: { readonly diameter: number; readonly height: number; readonly weight: number };
  readonly separator: {
    readonly diameter: number;
    readonly height: number;
    readonly weight: number;
    /** Of a cyclone's height, what its cone takes. */
    readonly coneShare: number;
  };
  readonly blower: {
    readonly housing: number;
    readonly width: number;
    readonly motorLength: number;
    readonly weight: number;
  };
  readonly filter: {
    readonly diameter: number;
    readonly height: number;
    readonly weight: number;
    /** Cloth, or felt, instead of pleats. */
    readonly isBag: boolean;
  };
  readonly filterBin: { readonly height: number };
}

/** A drum of about 30 gallons. */
const BIN = { diameter: 0.48, height: 0.71, weight: 6 } as const;

/** A small cyclone whose proportions are not known, in diameters of its round inlet. */
const CYCLONE = { diameter: 2.5, height: 5.5, coneShare: 0.6 } as const;

/** A housing over its wheel, the scroll's width over the wheel, and the least room for a wheel. */
const HOUSING = { diameter: 1.5, width: 0.4 } as const;

/** Motor and wheel: 12 kg and 7 more for each horsepower, about 26 kg at 2 hp. */
const BLOWER_WEIGHT = { least: 12, perWatt: 7 / toSI(1, 'hp') } as const;
const MOTOR_LENGTH = { least: 0.22, perWatt: 0.04 / toSI(1, 'hp') } as const;

/** Media area of a pleated cartridge by its height, m² for each m; bags are only their cloth. */
const CARTRIDGE = { diameter: 0.47, areaByHeight: 17, least: 0.3, most: 1.2, weight: 8 } as const;
const BAG = { diameter: 0.5, least: 0.4, most: 3, weight: 2 } as const;

/**
 * Every size of a collector's parts: what was typed, else what such a part usually is (estimates,
 * from wheel, motor, inlet and media area).
 */
export function sizesOf(parts: CollectorParts): AssemblySizes {
  const { assembly, blower, separator } = parts;
  const bin = {
    diameter: assembly.bin.diameter ?? BIN.diameter,
    height: assembly.bin.height ?? BIN.height,
    weight: assembly.bin.weight ?? BIN.weight,
  };
  const own = usualSeparator(separator, bin.diameter);
  const power = blower.motor.power;
  const filter = usualFilterSize(parts);
  return {
    bin,
    separator: {
      diameter: assembly.separator.diameter ?? own.diameter,
      height: assembly.separator.height ?? own.height,
      weight: assembly.separator.weight ?? own.weight,
      coneShare: own.coneShare,
    },
    blower: {
      housing: assembly.blower.housing ?? HOUSING.diameter * blower.wheelDiameter,
      width: assembly.blower.width ?? HOUSING.width * blower.wheelDiameter,
      motorLength: assembly.blower.motorLength ?? MOTOR_LENGTH.least + MOTOR_LENGTH.perWatt * power,
      weight: assembly.blower.weight ?? BLOWER_WEIGHT.least + BLOWER_WEIGHT.perWatt * power,
    },
    filter: {
      diameter: assembly.filter.diameter ?? filter.diameter,
      height: filter.height === 0 ? 0 : (assembly.filter.height ?? filter.height),
      weight: assembly.filter.weight ?? filter.weight,
      isBag: filter.isBag,
    },
    filterBin: {
      height:
        assembly.filterBin.kind === 'none'
          ? 0
          : (assembly.filterBin.height ?? (assembly.filterBin.kind === 'bag' ? 0.6 : 0.35)),
    },
  };
}

function usualSeparator({ kind, inletDiameter, proportions }: Separator, bin: number) {
  switch (kind) {
    case 'none':
      return { diameter: 0, height: 0, weight: 0, coneShare: 0 };
    case 'cyclone': {
      if (!proportions) {
        const { diameter, height, coneShare } = CYCLONE;
        return {
          diameter: diameter * inletDiameter,
          height: height * inletDiameter,
          weight: 8,
          coneShare,
        };
      }
      const { bodyDiameter, bodyLength, coneLength } = proportions;
      const height = bodyLength + coneLength;
      return { diameter: bodyDiameter, height, weight: 10, coneShare: coneLength / height };
    }
    // What stands above the lid is an elbow and the outlet; the baffle hangs in the drum.
    case 'baffle':
    case 'lid':
      return { diameter: bin, height: 1.2 * inletDiameter, weight: 5, coneShare: 0 };
  }
}

const mediaOf = ({ exhaust }: CollectorParts): Media | null =>
  exhaust.kind === 'outdoors' ? null : exhaust.filter;

function usualFilterSize(parts: CollectorParts) {
  const media = mediaOf(parts);
  if (!media) return { diameter: 0, height: 0, weight: 0, isBag: false };
  const isBag = media.permeability >= MEDIA.felt.permeability;
  if (isBag) {
    const height = media.area / (Math.PI * BAG.diameter);
    return {
      diameter: BAG.diameter,
      height: Math.min(Math.max(height, BAG.least), BAG.most),
      weight: BAG.weight,
      isBag,
    };
  }
  const height = media.area / CARTRIDGE.areaByHeight;
  return {
    diameter: CARTRIDGE.diameter,
    height: Math.min(Math.max(height, CARTRIDGE.least), CARTRIDGE.most),
    weight: CARTRIDGE.weight,
    isBag,
  };
}
