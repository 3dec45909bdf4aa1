import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';

interface Way {
  readonly label: string;
  readonly to: string;
}

/** A room with nothing in it: why, and the ways on. The first way is the one most take. */
export function Nothing({
  title,
  ways,
  children,
}: {
  readonly title: string;
  readonly ways: readonly Way[];
  readonly children: ReactNode;
}): ReactNode {
  const navigate = useNavigate();
  return (
    <div className="room">
      <h1>{title}</h1>
      <p style={{ margin: '8px 0 16px' }}>{children}</p>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
        {ways.map(({ label, to }, i) => (
          <Button key={to} size="large" type={i === 0 ? 'primary' : 'default'} onClick={() => void navigate(to)}>
            {label}
          </Button>
        ))}
      </div>
    </div>
  );
}
