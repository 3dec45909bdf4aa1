import type { Piece } from '../meat/piece';
import { baseAreaM2 } from '../pot/cooker';
import { CONTACT_W_PER_M2K, SEAR_BASE_C } from '../pot/loading';
import { PAN } from '../stations/sear';
import { searContact, searFor } from './browning';

/** Scraping in liquid takes two thirds of what sticks off in so many seconds. From memory. */
const SCRAPES_IN_S = 35;
/** Browning, minutes at 170 °C, that leaves all the fond there can be. From memory. */
const FULL_FOND = 1.5;
/** A stirred piece lies on each face for a part of the time. Common practice. */
const STIRRED_SHARE = 1 / 3;
/** A wide pan, m². */
const PAN_M2 = baseAreaM2(PAN.baseDiameterCm);

/** The base of the pot, or a pan beside it, with meat on it: browning, the film of juice, and what sticks. */
export class Searing {
  /** Most of the base that was covered. */
  coverage = 0;
  /** Of what can stick, how much is on the base. */
  stuck = 0;
  private pieces = 0;
  private piece: Piece | null = null;
  private inPan = false;
  /** Browning of each face, minutes at 170 °C, weighted by the pieces that lay on it. */
  private faces: { minutes: number; pieces: number; share: number }[] = [];
  private filmKg = 0;
  /** The most that any batch covered, m². */
  private mostM2 = 0;

  constructor(readonly areaM2: number) {}

  /** Lays a batch onto the hot base, or into a pan; one that is stirred shares its minutes among its faces. */
  lay(piece: Piece, pieces: number, pan: boolean, stirred: boolean): void {
    this.piece = piece;
    this.pieces = pieces;
    this.inPan = pan;
    this.filmKg = 0;
    const on = pan ? PAN_M2 : this.areaM2;
    this.coverage = Math.max(this.coverage, this.covered(this.areaM2) / on);
    this.mostM2 = Math.max(this.mostM2, this.covered(this.areaM2));
    this.faces.push({ minutes: 0, pieces, share: stirred ? STIRRED_SHARE : 1 });
  }

  /** Turns what lies there. */
  turn(): void {
    if (this.pieces > 0) this.faces.push({ minutes: 0, pieces: this.pieces, share: 1 });
  }

  /** Takes the batch out. */
  take(): void {
    this.pieces = 0;
    this.filmKg = 0;
  }

  get onBase(): boolean {
    return this.pieces > 0;
  }

  /** Mean browning of the faces that were seared, minutes at 170 °C; null where nothing was. */
  get browned(): number | null {
    const pieces = this.faces.reduce((sum, face) => sum + face.pieces, 0);
    return pieces === 0 ? null : this.faces.reduce((sum, face) => sum + face.minutes * face.pieces, 0) / pieces;
  }

  /** Area that what lies there covers, m², at most the base's. */
  private covered(areaM2: number): number {
    if (!this.piece) return 0;
    const [length, width] = this.piece.dimensionsCm;
    return Math.min(areaM2, (length * width * this.pieces) / 10_000);
  }

  /** Heat that what lies there draws from the base, W/K; aromatics draw as much as the meat before them. */
  contact(aromaticsIn: boolean): number {
    const coveredM2 = this.inPan ? 0 : this.covered(this.areaM2);
    if (aromaticsIn && coveredM2 === 0) return CONTACT_W_PER_M2K * this.mostM2;
    // Water that cooks out in a pan is none of the pot's.
    return this.inPan ? 0 : searContact({ areaM2: this.areaM2, coveredM2 }, this.filmKg);
  }

  /** Time goes by on the hot base. */
  advance(seconds: number, potC: number, boilingC: number, aromaticsIn: boolean): void {
    const face = this.faces.at(-1);
    if (this.pieces > 0 && face) {
      const base = this.inPan ? { areaM2: PAN_M2, baseC: SEAR_BASE_C } : { areaM2: this.areaM2, baseC: potC };
      const coveredM2 = this.covered(base.areaM2);
      const { filmKg, browned } = searFor({ ...base, coveredM2, boilingC }, this.filmKg, seconds);
      this.filmKg = filmKg;
      face.minutes += browned * face.share;
      if (!this.inPan) this.stuck = Math.max(this.stuck, Math.min(1, face.minutes / FULL_FOND));
    } else if (aromaticsIn && this.faces.length === 0) {
      this.stuck = 1;
    }
  }

  /** A wooden edge goes over the base in liquid; a share of what sticks never comes off. */
  scrape(seconds: number, stays: number): void {
    this.stuck = stays + (this.stuck - stays) * Math.exp(-seconds / SCRAPES_IN_S);
  }

  /** Scoured. */
  clear(): void {
    this.stuck = 0;
    this.filmKg = 0;
  }
}
