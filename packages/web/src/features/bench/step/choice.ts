/** What a person picked instead of the proposal. */
export type Choice =
  | { readonly kind: 'check'; readonly check: string }
  | { readonly kind: 'cause'; readonly cause: string }
  /** One whose gates are still shut, or that asks for a reason. */
  | { readonly kind: 'action'; readonly action: string }
  | { readonly kind: 'close' }
  | { readonly kind: 'prove' }
  | { readonly kind: 'settle'; readonly symptom: string }
  | { readonly kind: 'search-on' }
  | { readonly kind: 'freeing' };
