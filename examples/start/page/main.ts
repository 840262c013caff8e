import { mount } from 'frame-juggler/browser';
import sketch from './sketch.ts';

mount(sketch, '#stage', { fit: 'contain', controls: true });
