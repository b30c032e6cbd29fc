/** The shop that a transaction works for. After a commit the setting reads '', so the bare cast would fail. */
export const THIS_SHOP = "nullif(current_setting('app.shop_id', true), '')::uuid";
