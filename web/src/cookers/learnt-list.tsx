import type { LearntView } from '@hervir/contract';
import { TENTH } from '@hervir/core';
import { App, Button, Popconfirm, Switch } from 'antd';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { learntWords } from '../shared/learnt-words';

/** Fewer cooks do not say how far one is from the next. */
const ENOUGH = 3;

/** What cooks have taught, each with how many it rests on; used or not, and forgotten where it is wrong. */
export function LearntList({ learnt }: { readonly learnt: readonly LearntView[] }): ReactNode {
  const { message } = App.useApp();
  const change = async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work();
      await queryClient.invalidateQueries({ queryKey: keys.learnt });
    } catch (error) {
      void message.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <ul className="learnt">
      {learnt.map((one) => {
        const path = `/learning/${encodeURIComponent(one.key)}`;
        const [low, high] = one.range.map((factor) => `${Math.round(factor * 100)} %`);
        return (
          <li key={one.key}>
            <span>
              {learntWords(one)}
              <small className="dim">
                between {low} and {high} of the table, from {one.cooks === 1 ? 'one cook' : `${one.cooks} cooks`}
                {one.cooks >= ENOUGH && `; 8 cooks in 10 lie within ${Math.round(TENTH * one.apart * 100)} % of it`}
              </small>
            </span>
            <label className="learnt-use">
              <Switch
                size="small"
                aria-label={`Use it: ${learntWords(one)}`}
                checked={!one.off}
                onChange={(on) => void change(() => request('PUT', path, { off: !on }))}
              />
              use it
            </label>
            <Popconfirm
              title="Forget this?"
              description="It begins again at the table; cooks that come count anew."
              okText="Forget it"
              onConfirm={() => void change(() => request('DELETE', path))}
            >
              <Button type="text" aria-label={`Forget: ${learntWords(one)}`}>
                Forget
              </Button>
            </Popconfirm>
          </li>
        );
      })}
    </ul>
  );
}
