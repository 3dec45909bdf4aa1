import { App, Button, Popconfirm } from 'antd';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { queryClient } from '../api/queries';

/** The demo kitchen, put back as it came. */
export function DemoCard(): ReactNode {
  const { message } = App.useApp();
  const putBack = async (): Promise<void> => {
    try {
      await request('POST', '/demo/reset');
      await queryClient.invalidateQueries();
      void message.success('The demo kitchen is as it came.');
    } catch (error) {
      void message.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>Demo kitchen</h2>
      <p style={{ margin: '4px 0 10px' }}>
        A mountain refuge that does not exist. Everything in it can be put back as it came.
      </p>
      <Popconfirm
        title="Put the demo back?"
        description="Plans made here since are lost."
        okText="Put it back"
        onConfirm={() => void putBack()}
      >
        <Button>Put the demo back</Button>
      </Popconfirm>
    </div>
  );
}
