import { buildWeb, compile, install } from './steps.mjs';

install();
compile();
buildWeb();
