import {
  MOISTNESS,
  SAUCES,
  VEGETABLE_OUTCOMES,
  type BraiseRecord,
  type LogChange,
  type LogItem,
  type LogPage,
  type LogRecord,
} from '@hervir/contract';
import {
  cookState,
  delaysOf,
  GRADES,
  LIMITS,
  printDuration,
  runTimesOf,
  SECTION_WORDS,
  upperFirst,
  vegetableById,
  type CookState,
  type Plan,
} from '@hervir/core';
import { delayWords } from '../cook/delay-words';
import { ON_TIME } from '../cook/drift-words';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Input, Popconfirm, Select, Upload } from 'antd';
import dayjs from 'dayjs';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newId, Refused, request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import { clockAt, GRADE_WORDS } from '../shared/words';
import './log.css';
import { asPicture } from './picture';
import { happenedIn } from './happened';
import { PlannedActual } from './planned-actual';
import { cameOut, cutName, lateWords, RESULT_WORDS } from './words';

const MOIST_WORDS = { dry: 'Dry', moist: 'Moist', 'very-moist': 'Very moist' } as const;
const SAUCE_WORDS = { thin: 'Too thin', right: 'As it should be', thick: 'Too thick' } as const;
const VEGETABLE_WORDS = {
  raw: 'Raw',
  crisp: 'Crisp',
  right: 'As wanted',
  soft: 'Too soft',
  gone: 'Gone into the sauce',
} as const;

/** One cook of the log: planned against actual, how it came out, and what to do next. */
export function LogEntryPage(): ReactNode {
  const { id = '' } = useParams();
  const opened = useQuery({ queryKey: [...keys.log, id], queryFn: () => request<LogRecord>('GET', `/log/${id}`) });
  if (opened.error instanceof Refused && opened.error.status === 404) {
    return (
      <div className="room">
        <h1>This cook is not in the log</h1>
        <p style={{ marginTop: 8 }}>
          It is still running, or was thrown away. <Link to="/log">To the log</Link>
        </p>
      </div>
    );
  }
  if (opened.error) {
    return (
      <div className="room">
        <Trouble what="The cook cannot be shown." error={opened.error} again={() => void opened.refetch()} />
      </div>
    );
  }
  return opened.data ? <Entry key={id} record={opened.data} /> : <p className="room dim">Opening…</p>;
}

function Entry({ record }: { readonly record: LogRecord }): ReactNode {
  const { item, plan, cook } = record;
  const { print } = useUnits();
  const { message } = App.useApp();
  const navigate = useNavigate();
  const [notes, setNotes] = useState(item.notes);
  const [beside, setBeside] = useState<string | null>(null);
  const sorry = (error: unknown): void => void message.error(error instanceof Error ? error.message : String(error));
  const change = async (part: LogChange): Promise<void> => {
    try {
      await request<LogItem>('PUT', `/log/${item.id}`, part);
      await queryClient.invalidateQueries({ queryKey: keys.log });
      await queryClient.invalidateQueries({ queryKey: keys.learnt });
    } catch (error) {
      sorry(error);
    }
  };
  const again = async (): Promise<void> => {
    try {
      const next: Plan = { ...plan, pressureMinutes: null, serveAt: null, moved: {}, learnt: undefined };
      const { id } = await request<BraiseRecord>('POST', '/braises', { id: newId(), plan: next });
      await queryClient.invalidateQueries({ queryKey: keys.braises });
      void navigate(`/bench/${id}`);
    } catch (error) {
      sorry(error);
    }
  };
  const remove = async (): Promise<void> => {
    try {
      await request('DELETE', `/log/${item.id}`);
    } catch (error) {
      sorry(error);
      return;
    }
    await queryClient.invalidateQueries();
    void navigate('/log');
  };
  const keepPhoto = async (file: File): Promise<void> => {
    try {
      await request('PUT', `/log/${item.id}/photo`, { base64: await asPicture(file) });
      await queryClient.invalidateQueries({ queryKey: keys.log });
    } catch (error) {
      sorry(error);
    }
  };
  const state = cook ? cookState(cook.guide, cook.events, Date.parse(item.servedAt)) : null;
  const { outcome } = item;
  return (
    <div className="room log-entry">
      <div className="times-head">
        <div>
          <h1>{item.name}</h1>
          <p className="dim">
            {dayjs(item.servedAt).format('dddd, D MMMM YYYY')} · {print('mass', item.boughtG)} of{' '}
            {cutName(item.cut).toLowerCase()} · {item.cooker}
          </p>
        </div>
        <div className="log-actions">
          <Button type="primary" onClick={() => void again()}>
            Cook this again with what was learnt
          </Button>
          <Popconfirm
            title="Throw this cook away?"
            description="What was learnt from it goes too."
            okText="Throw it away"
            onConfirm={() => void remove()}
          >
            <Button type="text">Throw away</Button>
          </Popconfirm>
        </div>
      </div>
      <p className={`log-verdict log-result ${item.result}`}>
        {RESULT_WORDS[item.result].slice(0, 2)}
        {cameOut(item)}
        {item.lateMinutes !== null && `; ${lateWords(item.lateMinutes)}`}
        {item.burns > 0 && `; burn errors: ${item.burns}`}
      </p>
      {cook && state && <PlannedActual guide={cook.guide} state={state} eatAt={cook.guide.eatAt} />}
      <div className="log-columns">
        <section className="vessel side-card" aria-label="Planned and actual">
          <h2>Planned and actual</h2>
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">Part</th>
                <th scope="col">Planned</th>
                <th scope="col">Was</th>
              </tr>
            </thead>
            <tbody>
              {plannedAndActual(item, state).map(([name, { planned, actual }]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td className="figure">{planned === null ? '–' : printDuration(planned)}</td>
                  <td className="figure">{actual === null ? '–' : printDuration(actual)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {cook && state && state.dinner.driftMinutes >= ON_TIME && (
            <ul className="reasons" aria-label="Why it was late">
              {delaysOf(state, cook.guide).map((delay) => (
                <li key={delay.cause}>{delayWords(delay, state)}</li>
              ))}
            </ul>
          )}
        </section>
        <section className="vessel side-card fields" aria-label="How it came out">
          <h2>How it came out</h2>
          <Said
            label="Meat"
            unsaid="nobody tried it"
            value={item.grade}
            words={GRADE_WORDS}
            of={GRADES}
            onSay={(grade) => void change({ grade })}
          />
          <Said
            label="To eat"
            value={outcome.moistness}
            words={MOIST_WORDS}
            of={MOISTNESS}
            onSay={(moistness) => void change({ outcome: { ...outcome, moistness } })}
          />
          <Said
            label="Sauce"
            value={outcome.sauce}
            words={SAUCE_WORDS}
            of={SAUCES}
            onSay={(sauce) => void change({ outcome: { ...outcome, sauce } })}
          />
          {plan.vegetables.map(({ vegetable }) => (
            <Said
              key={vegetable}
              label={vegetableById(vegetable).name}
              value={outcome.vegetables[vegetable] ?? null}
              words={VEGETABLE_WORDS}
              of={VEGETABLE_OUTCOMES}
              onSay={(how) => {
                const rest = Object.fromEntries(
                  Object.entries(outcome.vegetables).filter(([name]) => name !== vegetable),
                );
                void change({
                  outcome: { ...outcome, vegetables: how === null ? rest : { ...rest, [vegetable]: how } },
                });
              }}
            />
          ))}
          <Field label="Cooked meat">
            {() => (
              <QuantityInput
                label="Cooked meat, weighed"
                kind="mass"
                value={item.cookedG ?? undefined}
                range={LIMITS.meatGrams}
                onChange={(cookedG) => cookedG !== undefined && void change({ cookedG })}
              />
            )}
          </Field>
          <Field label="Words">
            {(at) => (
              <Input.TextArea
                id={at}
                rows={3}
                maxLength={4000}
                value={notes}
                onChange={(event) => setNotes(event.target.value)}
                onBlur={() => notes !== item.notes && void change({ notes })}
              />
            )}
          </Field>
          <div className="log-photo">
            {item.photo && <img src={`/api/log/${item.id}/photo`} alt={`${item.name}, as it was served`} />}
            <Upload
              accept="image/*"
              showUploadList={false}
              beforeUpload={(file) => {
                void keepPhoto(file);
                return false;
              }}
            >
              <Button>{item.photo ? 'Another photo' : 'Add a photo'}</Button>
            </Upload>
            {item.photo && (
              <Button
                type="text"
                onClick={() =>
                  void request('DELETE', `/log/${item.id}/photo`).then(
                    () => queryClient.invalidateQueries({ queryKey: keys.log }),
                    sorry,
                  )
                }
              >
                Take it away
              </Button>
            )}
          </div>
        </section>
        <section className="vessel side-card" aria-label="What happened">
          <h2>What happened</h2>
          {state === null ? (
            <p className="dim">{item.source === 'by-hand' ? 'Added by hand.' : 'Read from a file.'}</p>
          ) : (
            <ol className="log-events" aria-label="Event by event">
              {happenedIn(state, cook?.events ?? []).map(({ at, key, text }) => (
                <li key={key}>
                  <span className="figure dim">{clockAt(at, plan.serveAt)}</span> {text}
                </li>
              ))}
            </ol>
          )}
        </section>
      </div>
      <Beside item={item} other={beside} onOther={setBeside} />
    </div>
  );
}

/** Every lid of a cook, and every part of a day, planned against actual; of one that was not cooked here, what its line says. */
function plannedAndActual(
  item: LogItem,
  state: CookState | null,
): (readonly [string, { readonly planned: number | null; readonly actual: number | null }])[] {
  if (state === null) {
    return [
      ['To the pin', item.toPin],
      ['Under pressure', item.pressure],
      ['Letting down', item.release],
    ];
  }
  if (item.source === 'warmed') {
    return state.took.map(({ section, planned, actual }) => [upperFirst(SECTION_WORDS[section]), { planned, actual }]);
  }
  return runTimesOf(state).flatMap(({ run, toPin, pressure, release }) => {
    const at = run === 1 ? '' : `, lid ${run}`;
    return [
      [`Coming to pressure${at}`, toPin] as const,
      [`Under pressure${at}`, pressure] as const,
      [`Letting down${at}`, release] as const,
    ];
  });
}

/** Another cook beside this one. */
function Beside({
  item,
  other,
  onOther,
}: {
  readonly item: LogItem;
  readonly other: string | null;
  readonly onOther: (id: string | null) => void;
}): ReactNode {
  const { print } = useUnits();
  const like = useQuery({
    queryKey: [...keys.log, 'like', item.cut],
    queryFn: () => request<LogPage>('GET', `/log?cut=${item.cut}&limit=50`),
  });
  const others = (like.data?.items ?? []).filter(({ id }) => id !== item.id);
  const chosen = others.find(({ id }) => id === other);
  const minutes = (value: number | null): string => (value === null ? '–' : printDuration(value));
  const rows: readonly (readonly [string, (one: LogItem) => string])[] = [
    ['Meat', ({ boughtG }) => print('mass', boughtG)],
    ['Cooker', ({ cooker }) => cooker],
    ['To the pin', ({ toPin }) => minutes(toPin.actual)],
    ['Under pressure', ({ pressure }) => minutes(pressure.actual)],
    ['Letting down', ({ release }) => minutes(release.actual)],
    ['Came out', cameOut],
    ['Dinner', ({ lateMinutes }) => lateWords(lateMinutes)],
    ['Words', (one) => one.notes],
  ];
  return (
    <section className="vessel side-card" aria-label="Compare">
      <h2>Beside another</h2>
      {others.length === 0 ? (
        <p className="dim">No other cook of this cut in the log.</p>
      ) : (
        <>
          <Select
            aria-label="Compare with"
            placeholder="Which one?"
            style={{ width: 'min(100%, 380px)' }}
            allowClear
            value={other}
            onChange={(id: string | null) => onOther(id ?? null)}
            options={others.map(({ id, name, servedAt }) => ({
              value: id,
              label: `${dayjs(servedAt).format('D MMM YYYY')}, ${name}`,
            }))}
          />
          {chosen && (
            <table className="plain-table">
              <thead>
                <tr>
                  <th scope="col">
                    <span className="visually-hidden">What</span>
                  </th>
                  <th scope="col">{dayjs(item.servedAt).format('D MMM')}</th>
                  <th scope="col">{dayjs(chosen.servedAt).format('D MMM')}</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(([name, say]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{say(item)}</td>
                    <td>{say(chosen)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </section>
  );
}

/** One of a few words for how a thing came out, or none. */
function Said<T extends string>({
  label,
  value,
  words,
  of,
  unsaid = 'not said',
  onSay,
}: {
  readonly label: string;
  readonly value: T | null;
  readonly words: Readonly<Record<T, string>>;
  readonly of: readonly T[];
  readonly unsaid?: string;
  readonly onSay: (value: T | null) => void;
}): ReactNode {
  return (
    <Field label={label}>
      {(at) => (
        <Select<T>
          id={at}
          allowClear
          placeholder={unsaid}
          value={value}
          options={of.map((one) => ({ value: one, label: words[one] }))}
          onChange={(said: T | undefined) => onSay(said ?? null)}
        />
      )}
    </Field>
  );
}
