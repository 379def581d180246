/** Builds the app for production. */
import { ENV, run } from './prepare.mjs';

process.exit(run('node', ['node_modules/next/dist/bin/next', 'build'], ENV));
