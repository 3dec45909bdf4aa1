import { Button, Popconfirm } from 'antd';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { queryClient } from '../api/queries';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastDone, toastTrouble } from '../shared/toast';

/** The demo kitchen, put back as it came. */
export function DemoCard(): ReactNode {
  const putBack = async (): Promise<void> => {
    try {
      await request('POST', '/demo/reset');
      await queryClient.invalidateQueries();
      toastDone(t('settings.the-demo-kitchen-is-as'));
    } catch (error) {
      toastTrouble(whyOf(error));
    }
  };
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>{t('settings.demo-kitchen')}</h2>
      <p style={{ margin: '4px 0 10px' }}>{t('settings.a-mountain-refuge-that-does')}</p>
      <Popconfirm
        title={t('settings.put-the-demo-back')}
        description={t('settings.plans-made-here-since-are')}
        okText={t('settings.put-it-back')}
        onConfirm={() => void putBack()}
      >
        <Button>{t('settings.put-the-demo-back-2')}</Button>
      </Popconfirm>
    </div>
  );
}
