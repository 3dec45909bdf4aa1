import { Popconfirm } from 'antd';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastDone } from '../shared/toast';
import { forgetCook, useCooks } from '../state/cooks-store';
import styles from './cook.module.css';

/** The way out of a cook that is not to be: begun by mistake, or given up. It is asked once more, and is in no log. */
export function ThrowAway({ id }: { readonly id: string }): ReactNode {
  const navigate = useNavigate();
  const events = useCooks((store) => store.cooks[id]?.events.length ?? 1);
  const [fault, setFault] = useState<string | null>(null);
  const throwAway = async (): Promise<void> => {
    try {
      await request('DELETE', `/cooks/${id}?events=${events}`);
    } catch (error) {
      setFault(whyOf(error));
      return;
    }
    forgetCook(id);
    void queryClient.invalidateQueries({ queryKey: keys.running });
    toastDone(t('cook.it-is-thrown-away'));
    void navigate('/');
  };
  return (
    <div className={styles['throw-away']}>
      <Popconfirm
        placement="topLeft"
        title={t('cook.throw-this-cook-away')}
        description={t('cook.what-was-told-goes-with', { events: events - 1 })}
        okText={t('cook.throw-it-away')}
        cancelText={t('cook.cook-on')}
        onConfirm={() => void throwAway()}
      >
        <button type="button" className="pot-button">
          {t('cook.not-cooking-after-all')}
        </button>
      </Popconfirm>
      {fault !== null && (
        <span className={styles['pot-refused']} role="alert">
          {fault}
        </span>
      )}
    </div>
  );
}
