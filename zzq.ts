import { LIBRARY } from './src/core/library/library';
import { exact } from './src/core/figures/uncertain';
import { roundSolid, girthAt } from './src/core/plan/solid';
import { roundPlaces } from './src/core/readings/places';
import { bestCone, coneOfBand, paperRadius, usableBand } from './src/core/shapes/band';
import { isFlat, isRound } from './src/core/shop/blank';
import { sizeFlatWrap } from './src/core/wrap/flatWrap';
import { sizeRoundWrap } from './src/core/wrap/roundWrap';
const rows:[number,string][]=[];
for (const blank of LIBRARY){ let f:()=>unknown;
 if(isFlat(blank)){const{outline,faces,edge}=blank.shape;f=()=>sizeFlatWrap({shape:blank.shape,width:exact(outline.widthMm),height:exact(outline.heightMm),thicknessMm:blank.wallMm,edge:edge==='rough'?'parcel':'bleed',bleedMm:4,turnInMm:8,safeMm:6,fold:'left',bothFaces:faces===2})}
 else if(isRound(blank)){const made=roundSolid(blank.shape,roundPlaces(blank.shape,[]).map(place=>({place,items:[],value:null,rawMeanMm:null,correctionMm:0})));if(!made.ok)continue;const solid=made.value;const band=solid.form==='shaped'?usableBand(solid.profile,solid.wall,0.15):solid.wall;
 f=()=>{const cone=solid.form==='shaped'?bestCone(solid.profile,band):null;const girth=(z:number)=>cone?exact(2*Math.PI*paperRadius(cone,z)):girthAt(solid,z);return sizeRoundWrap({girthTop:girth(band.topMm),girthFoot:girth(band.footMm),slant:cone?exact(coneOfBand(cone,band).slantMm):solid.slant,band,handle:solid.handle,shape:blank.shape,paperMm:0.1,school:'over',amountMm:null,seamDeg:180,shrink:0,print:{scaleU:0.0014,shrinkU:0},bleed:{rimMm:3,footMm:3,endsMm:3},safeMm:6,grip:null,ownMarks:[]})}}
 else continue;
 for(let i=0;i<80;i++)f();const t:number[]=[];for(let i=0;i<40;i++){const a=performance.now();f();t.push(performance.now()-a)}t.sort((a,b)=>a-b);rows.push([t[20]!,blank.id+' p95 '+t[38]!.toFixed(2)]);}
rows.sort((a,b)=>b[0]-a[0]);for(const r of rows.slice(0,22))console.log(r[0].toFixed(3),r[1]);
