import { createSlice } from '@reduxjs/toolkit';

/** Whether the server runs a newer build than this page. */
export const version = createSlice({
  name: 'version',
  initialState: { outdated: false },
  reducers: {
    /** The server said something that only a newer page understands, or that it is newer. */
    outdated(state) {
      state.outdated = true;
    },
  },
});
