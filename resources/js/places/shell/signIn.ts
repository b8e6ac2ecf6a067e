import { createContext, useContext } from 'react';

/** Opens the sign-in over whatever is open. */
export const SignIn = createContext<() => void>(() => undefined);

export const useSignIn = (): (() => void) => useContext(SignIn);
