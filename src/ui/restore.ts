import { createContext, useContext } from 'react';

/** Remembers how things stand, and gives what brings them back: for fields that take effect while they are typed in. */
export type Remember = () => () => void;

export const RememberContext = createContext<Remember | null>(null);

export const useRemember = (): Remember | null => useContext(RememberContext);
