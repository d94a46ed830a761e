import type { Cloth } from '../cloth/cloth';
import type { Fact } from '../fact';
import type { FootKind } from '../kit/foot-kind';
import type { PassNeed } from './kit-need';

/** One of the answers to a question on which practitioners differ. */
export interface SchoolWay {
  readonly id: string;
  readonly name: string;
  readonly costs: readonly Fact[];
  /** What it takes besides what the finish takes. */
  readonly needs?: PassNeed;
  /** What of the drawer folds the strip in it: a foot, or an attachment before the foot. */
  readonly attaches?: FootKind;
  /** Whether it does on a cloth; on any when left out. */
  suits?(cloth: Cloth): boolean;
  /** Wherever it suits it goes before the others: it spares their work. */
  readonly sparesWork?: boolean;
}

/** A question on which practitioners differ; the first way stands until one is chosen. */
export interface School {
  readonly id: string;
  readonly question: string;
  readonly ways: readonly SchoolWay[];
  /** Variants it matters for; all of them when left out. */
  readonly variants?: readonly string[];
}
