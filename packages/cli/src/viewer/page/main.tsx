import { render } from 'preact';
import { addHostCode } from 'frame-juggler';
import { paths } from '../protocol.ts';
import { App } from './app.tsx';
import { SketchHost } from './host.ts';

/*
 * The page that `juggle play` opens: it shows one sketch, follows every save of its file, and keeps the last good
 * picture under whatever goes wrong.
 */

addHostCode(import.meta.url);

const place = document.createElement('div');
place.id = 'picture';
const host = new SketchHost(place);
render(<App host={host} place={place} />, document.getElementById('app')!);
new EventSource(paths.changes).onmessage = () => void host.load();
void host.load();
