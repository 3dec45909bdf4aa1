import { LONGEST_RECIPE, WHENS_OF, type RecipeLine, type RecipeReading, type RecipeWhen } from '@hervir/contract';
import {
  AROMATICS,
  CUTS,
  cutById,
  cutTitle,
  GRAINS,
  LIMITS,
  LIQUIDS,
  THICKENER_KINDS,
  upperFirst,
  VEGETABLES,
} from '@hervir/core';
import { Button, Input, Select, Upload } from 'antd';
import { useEffect, useEffectEvent, useState, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refused, request } from '../api/client';
import { useCookers, useCreateBraise } from '../api/queries';
import { QuantityInput } from '../shared/quantity-input';
import { remember, remembered } from '../shared/session';
import { TimeInput } from '../shared/time-input';
import { useNow } from '../shared/use-now';
import { USUAL_TIME, usualDay } from '../shared/usual-dinner';
import { dayOptions, wallClockOn } from '../shared/words';
import { clsx } from 'clsx';
import styles from './from-recipe.module.css';

type As = RecipeLine['as'];

/** Everything a line can be, as one list to choose from; the value says which. */
const CHOICES: readonly {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}[] = [
  { label: 'Meat', options: CUTS.map((cut) => ({ value: `meat:${cut.id}`, label: upperFirst(cutTitle(cut)) })) },
  {
    label: 'Poured in',
    options: LIQUIDS.filter(({ kind }) => kind === 'liquid' || kind === 'sauce').map(({ id, name }) => ({
      value: `liquid:${id}`,
      label: name,
    })),
  },
  {
    label: 'Thick, sweet or creamy',
    options: LIQUIDS.filter(({ kind }) => kind !== 'liquid').map(({ id, name }) => ({
      value: `addition:${id}`,
      label: `${name}, kept off the base`,
    })),
  },
  {
    label: 'Thickens the sauce',
    options: THICKENER_KINDS.map(({ id, name }) => ({ value: `thickener:${id}`, label: upperFirst(name) })),
  },
  { label: 'Vegetable', options: VEGETABLES.map(({ id, name }) => ({ value: `vegetable:${id}`, label: name })) },
  { label: 'Grain', options: GRAINS.map(({ id, name }) => ({ value: `grain:${id}`, label: name })) },
  {
    label: 'For the sauté',
    options: AROMATICS.map(({ id, name }) => ({ value: `aromatic:${id}`, label: `${name}, sautéed or laid in` })),
  },
  {
    label: 'Not reckoned',
    options: [
      { value: 'by-taste', label: 'By taste' },
      { value: 'unknown', label: 'Not understood' },
      { value: 'heading', label: 'A heading' },
    ],
  },
];

/** When a line goes in, as it is chosen. */
const WHEN_WORDS: Readonly<Record<RecipeWhen, string>> = {
  auto: 'when Hervir finds best',
  start: 'with the first lid',
  'second-run': 'in a second run',
  simmer: 'in the simmer after',
  end: 'off the heat, at the end',
  marinade: 'into the marinade',
  rub: 'into the rub',
};

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

/** The recipe is kept for some time or other. */
const NO_DAY = 'none';

const valueOf = (as: As): string => ('id' in as ? `${as.kind}:${as.id}` : as.kind);

/** What a choice says a line is. */
function asOf(value: string): As {
  const [kind = '', id = ''] = value.split(':');
  if (kind === 'meat') return { kind, id, form: cutById(id).forms[0] ?? 'whole' };
  if (kind === 'by-taste' || kind === 'unknown' || kind === 'heading') return { kind };
  return { kind: kind as 'liquid', id };
}

/** A recipe of anybody's, pasted or from a file, made into a plan: every guess beside the line it was made from. */
export function FromRecipe(): ReactNode {
  const navigate = useNavigate();
  const create = useCreateBraise();
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
  const now = useNow();
  const [day, setDay] = useState(() => usualDay(now));
  const [time, setTime] = useState(USUAL_TIME);
  const cookerId = cooker ?? cookers[0]?.id;
  const read = async (source: string, putRight: PutRight, pot = cookerId): Promise<void> => {
    if (source.trim() === '') return;
    if (source.length > LONGEST_RECIPE) {
      setWrong(
        `This is too much to read: ${(source.length / 1e6).toFixed(1)} million characters; allowed: up to ${LONGEST_RECIPE / 1e6} million. The recipe’s own text is enough.`,
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
          ? error.faults.map(({ path, problem, allowed }) => `${path}: ${problem}; allowed: ${allowed}`)
          : [];
      setWrong(faults.length > 0 ? faults.join('. ') : error instanceof Error ? error.message : String(error));
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
  return (
    <div className="room from-recipe">
      <h1>From a recipe</h1>
      <p className="dim">
        Paste a recipe, or the whole source of a page with one. Hervir says what it takes each line for; nothing is kept
        until you make the plan.
      </p>
      <Input.TextArea
        aria-label="The recipe"
        rows={reading ? 3 : 10}
        value={text}
        placeholder="1.5 kg goat shoulder, in chunks …"
        onChange={(event) => setText(event.target.value)}
        onDrop={(event) => {
          const [file] = event.dataTransfer.files;
          if (!file) return;
          event.preventDefault();
          void file.text().then(begin);
        }}
      />
      <div className={styles['recipe-row']}>
        <Button
          type={reading?.plan ? 'default' : 'primary'}
          loading={busy}
          disabled={text.trim() === ''}
          onClick={() => begin(text)}
        >
          Read it
        </Button>
        <Upload
          accept=".html,.htm,.json,.jsonld,.txt,.md,text/*,application/json"
          showUploadList={false}
          beforeUpload={(file) => {
            void file.text().then(begin);
            return false;
          }}
        >
          <Button>From a file…</Button>
        </Upload>
        <Select
          aria-label="In which cooker"
          value={cookerId ?? null}
          placeholder="a middling electric pot"
          options={cookers.map(({ id, cooker: { name } }) => ({ value: id, label: name }))}
          onChange={(id: string) => {
            setCooker(id);
            if (reading) void read(text, right, id);
          }}
        />
      </div>
      {wrong !== null && (
        <p role="alert" className={styles['recipe-wrong']}>
          <span aria-hidden>▲ </span>
          {wrong}
        </p>
      )}
      {reading && (
        <Found
          reading={reading}
          said={{ ...right.corrections, ...right.amounts, ...right.whens }}
          onCorrect={(i, value) => putRight('corrections', i, asOf(value))}
          onWeigh={(i, grams) => putRight('amounts', i, grams)}
          onWhen={(i, when) => putRight('whens', i, when)}
        />
      )}
      {reading?.plan && (
        <div className={styles['recipe-row']}>
          <span className="recipe-when" role="group" aria-label="When we eat">
            We eat{' '}
            <Select
              aria-label="Which day"
              value={day}
              popupMatchSelectWidth={180}
              options={[{ value: NO_DAY, label: 'on no day yet' }, ...dayOptions(day === NO_DAY ? null : day, now)]}
              onChange={setDay}
            />
            {day !== NO_DAY && (
              <>
                {' '}
                at <TimeInput label="At what time" value={time} onChange={setTime} style={{ width: '5.625rem' }} />
              </>
            )}
          </span>
          <Button
            type="primary"
            size="large"
            loading={create.isPending}
            onClick={() =>
              reading.plan &&
              create.mutate(
                { ...reading.plan, serveAt: day === NO_DAY ? null : wallClockOn(day, time) },
                {
                  onSuccess: ({ id }) => void navigate(`/bench/${id}`),
                  onError: (error) => setWrong(error.message),
                },
              )
            }
          >
            Make the plan
          </Button>
        </div>
      )}
    </div>
  );
}

/** Whether a line is to be looked at: not understood, or with an amount that nobody said. */
const isUnsure = ({ as, guess, when }: RecipeLine): boolean =>
  (as.kind === 'unknown' && when === null) || (guess !== null && as.kind !== 'by-taste');

/** The lines with what is unsure first; they stay where they are while they are put right. */
function orderOf(lines: readonly RecipeLine[]): number[] {
  const places = lines.map((_, i) => i);
  const at = (unsure: boolean): number[] => places.filter((i) => isUnsure(lines[i] as RecipeLine) === unsure);
  return [...at(true), ...at(false)];
}

function Found({
  reading,
  said,
  onCorrect,
  onWeigh,
  onWhen,
}: {
  readonly reading: RecipeReading;
  /** What the cook has put right, by its place. */
  readonly said: Readonly<Record<string, unknown>>;
  readonly onCorrect: (i: number, value: string) => void;
  readonly onWeigh: (i: number, grams: number) => void;
  readonly onWhen: (i: number, when: RecipeWhen) => void;
}): ReactNode {
  const { name, servings, lines, method, notes } = reading;
  const written = lines.map(({ text }) => text).join('\n');
  const [order, setOrder] = useState(() => ({ written, places: orderOf(lines) }));
  if (order.written !== written) setOrder({ written, places: orderOf(lines) });
  return (
    <>
      <h2>
        {name === '' ? 'A recipe without a name' : name}
        {servings === null ? '' : `, for ${servings}`}
      </h2>
      <ul className="reasons" aria-label="What was made of it">
        {notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
      {lines.length > 0 && (
        <table className={clsx('plain-table', styles['recipe-lines'])} aria-label="Ingredients">
          <thead>
            <tr>
              <th scope="col">As written</th>
              <th scope="col">Taken for</th>
              <th scope="col">How much</th>
              <th scope="col">Goes in</th>
            </tr>
          </thead>
          <tbody>
            {order.places.map((i) => {
              const line = lines[i];
              if (line === undefined) return null;
              const { text, as, grams, guess, when } = line;
              const whens = WHENS_OF[as.kind];
              const counts = as.kind === 'unknown' ? when !== null : as.kind !== 'by-taste' && as.kind !== 'heading';
              return (
                <tr key={`${i}-${text}`} className={as.kind === 'heading' ? styles['recipe-heading'] : undefined}>
                  <td>{text}</td>
                  <td>
                    <Select
                      aria-label={`Taken for: ${text}`}
                      showSearch={{ optionFilterProp: 'label' }}
                      value={valueOf(as)}
                      options={CHOICES.map(({ label, options }) => ({ label, options: [...options] }))}
                      onChange={(value) => onCorrect(i, value)}
                    />
                  </td>
                  <td>
                    {counts && (
                      <QuantityInput
                        label={`How much: ${text}`}
                        kind={as.kind === 'liquid' ? 'volume' : 'mass'}
                        value={grams ?? undefined}
                        range={LIMITS.recipeGrams}
                        onChange={(value) => value !== undefined && onWeigh(i, value)}
                      />
                    )}
                    {guess !== null && (
                      <small
                        className={isUnsure(line) ? clsx(styles['recipe-guess'], 'attention') : styles['recipe-guess']}
                      >
                        {isUnsure(line) ? '▲ ' : ''}
                        {guess}
                      </small>
                    )}
                    {String(i) in said && <small className={styles['recipe-guess']}>● as you said</small>}
                  </td>
                  <td>
                    {whens && (
                      <Select
                        aria-label={`Goes in: ${text}`}
                        value={when}
                        placeholder="not in the pot"
                        popupMatchSelectWidth={220}
                        options={whens.map((value) => ({ value, label: WHEN_WORDS[value] }))}
                        onChange={(value: RecipeWhen) => onWhen(i, value)}
                      />
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {method.length > 0 && (
        <details className={styles['recipe-method']}>
          <summary>Its method, with the times that were found</summary>
          <ol>
            {method.map(({ text, found }, i) => (
              <li key={`${i}-${text}`}>
                {text} {found !== null && <strong>({found})</strong>}
              </li>
            ))}
          </ol>
        </details>
      )}
    </>
  );
}
