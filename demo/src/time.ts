/** When the demo is told, and in which time zone its shop lies. */
export interface DemoTime {
  readonly now: Date;
  readonly zone: string;
}
