import { LONGEST_RECIPE, type RecipeReading, type RecipeWhen } from '@hervir/contract';
import { useEffect, useEffectEvent, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Refused, request } from '../api/client';
import { useCookers } from '../api/queries';
import { remember, remembered } from '../shared/session';
import type { As } from './line-choices';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';

/** What the cook has put right, each by the place of its line. */
interface PutRight {
  readonly corrections: Readonly<Record<string, As>>;
  readonly amounts: Readonly<Record<string, number>>;
  readonly whens: Readonly<Record<string, RecipeWhen>>;
}

interface KeptRecipe extends PutRight {
  readonly text: string;
}

const KEY = 'hervir.recipe';

const AS_READ: PutRight = { corrections: {}, amounts: {}, whens: {} };
const NO_RECIPE: KeptRecipe = { text: '', ...AS_READ };

/** The recipe that was read here last: whoever comes back from its plan finds it. */
const keptRecipe = (): KeptRecipe => ({ ...NO_RECIPE, ...(remembered(KEY) as Partial<KeptRecipe> | null) });

/** The recipe in this room, and all that can be done with it. */
export interface RecipeHere {
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly right: PutRight;
  readonly reading: RecipeReading | null;
  readonly wrong: string | null;
  readonly setWrong: (wrong: string) => void;
  readonly busy: boolean;
  readonly cookerId: string | undefined;
  readonly takeCooker: (id: string) => void;
  readonly begin: (source: string) => void;
  readonly putRight: <K extends keyof PutRight>(what: K, i: number, value: PutRight[K][string]) => void;
}

/** Reads a recipe as it was pasted, shared or left here, with what the cook has put right of it. */
// oxlint-disable-next-line max-lines-per-function -- one hook holds a reading and all that may be done with it
export function useRecipe(): RecipeHere {
  const cookers = useCookers().data ?? [];
  const [params] = useSearchParams();
  const [kept] = useState(keptRecipe);
  const shared = [params.get('title'), params.get('text')].filter(Boolean).join('\n');
  const [text, setText] = useState(shared || kept.text);
  const [cooker, setCooker] = useState<string | null>(null);
  const [right, setRight] = useState<PutRight>(() => {
    const { corrections, amounts, whens } = shared === '' ? kept : AS_READ;
    return { corrections, amounts, whens };
  });
  const [reading, setReading] = useState<RecipeReading | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const cookerId = cooker ?? cookers[0]?.id;
  const read = async (source: string, putRight: PutRight, pot = cookerId): Promise<void> => {
    if (source.trim() === '') return;
    if (source.length > LONGEST_RECIPE) {
      setWrong(
        t('recipe.this-is-too-much-to', {
          millions: (source.length / 1e6).toFixed(1),
          longestRecipe: LONGEST_RECIPE / 1e6,
        }),
      );
      return;
    }
    remember(KEY, { text: source, ...putRight } satisfies KeptRecipe);
    setBusy(true);
    try {
      setReading(
        await request<RecipeReading>('POST', '/recipes/read', {
          text: source,
          ...putRight,
          ...(pot === undefined ? {} : { cookerId: pot }),
        }),
      );
      setWrong(null);
    } catch (error) {
      const faults =
        error instanceof Refused
          ? error.faults.map(({ path, problem, allowed }) => t('recipe.allowed', { path, problem, allowed }))
          : [];
      setWrong(faults.length > 0 ? faults.join('. ') : whyOf(error));
    } finally {
      setBusy(false);
    }
  };
  const putRight = <K extends keyof PutRight>(what: K, i: number, value: PutRight[K][string]): void => {
    const next = { ...right, [what]: { ...right[what], [String(i)]: value } };
    setRight(next);
    void read(text, next);
  };
  const begin = (source: string): void => {
    setText(source);
    setRight(AS_READ);
    void read(source, AS_READ);
  };
  // What was shared to Hervir, or left here to look at its plan, is read at once.
  const again = useEffectEvent(() => void read(text, right));
  useEffect(() => {
    const soon = setTimeout(again, 0);
    return () => clearTimeout(soon);
  }, []);
  const takeCooker = (id: string): void => {
    setCooker(id);
    if (reading) void read(text, right, id);
  };
  return { text, setText, right, reading, wrong, setWrong, busy, cookerId, takeCooker, begin, putRight };
}
