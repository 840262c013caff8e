import {
  hitsLabel,
  itemsAt
} from "./chunk-7FC3K3WH.js";
import "./chunk-JEROG5JX.js";
import "./chunk-FYXFEF5H.js";
import "./chunk-NE2UDUYN.js";
import "./chunk-64DTOP6Y.js";
import "./chunk-BTP6WEQV.js";
import "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";
export {
  hitsLabel,
  itemsAt
};
