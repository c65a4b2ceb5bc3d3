import { createContext, useContext } from 'react';

/** Remembers how things stand, and gives what brings them back: for fields that take effect while they are typed in. */
export type Snapshot = () => () => void;

export const RememberContext = createContext<Snapshot | null>(null);

export const useRemember = (): Snapshot | null => useContext(RememberContext);
