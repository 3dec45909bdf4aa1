import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** An address that leads nowhere. */
export function NothingHere(): ReactNode {
  return (
    <div className="room">
      <h1>There is nothing here</h1>
      <p style={{ marginTop: 8 }}>
        The address leads to no room. <Link to="/">Back to Tonight</Link>
      </p>
    </div>
  );
}
