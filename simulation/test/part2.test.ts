import { tellPart } from './stories.ts';

tellPart(2);
