import { buildWeb, bundleServer, compile, install } from './steps.mjs';

install();
compile();
bundleServer();
buildWeb();
