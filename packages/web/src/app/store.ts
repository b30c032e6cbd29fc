import { configureStore } from '@reduxjs/toolkit';
import { type TypedUseSelectorHook, useDispatch, useSelector } from 'react-redux';
import { api } from '../api/api.ts';
import { outbox } from '../store/outbox.ts';
import { keepOutbox } from '../store/outboxSender.ts';

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, outbox: outbox.reducer },
  middleware: (defaults) =>
    // The checks walk the whole state after every action, tickets and all.
    defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
});

keepOutbox(store);

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useAppDispatch: () => AppDispatch = useDispatch;
export const useAppSelector: TypedUseSelectorHook<RootState> = useSelector;
