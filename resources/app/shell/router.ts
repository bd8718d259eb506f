import { createRouter, createWebHistory } from 'vue-router'
import NowhereStation from './NowhereStation.vue'
import ShelfStation from '../stations/shelf/ShelfStation.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfStation },
    { path: '/bin', name: 'bin', component: () => import('../stations/shelf/BinStation.vue') },
    { path: '/stash', name: 'stash', component: () => import('../stations/stash/StashStation.vue') },
    { path: '/hand', name: 'hand', component: () => import('../stations/hand/HandStation.vue') },
    { path: '/house', name: 'house', component: () => import('../stations/house/HouseStation.vue') },
    {
      path: '/sign-in',
      name: 'sign-in',
      meta: { isDoor: true },
      component: () => import('../stations/house/SignInStation.vue'),
    },
    {
      path: '/password',
      name: 'password',
      meta: { isDoor: true },
      component: () => import('../stations/house/PasswordStation.vue'),
    },
    {
      path: '/pair',
      name: 'pair',
      meta: { isDoor: true },
      component: () => import('../stations/house/PairStation.vue'),
    },
    { path: '/sets/:set(\\d+)', name: 'set', component: () => import('../stations/sets/SetStation.vue') },
    { path: '/figures/:id(\\d+)', redirect: (to) => ({ name: 'shapes', params: to.params }) },
    {
      path: '/figures/:id(\\d+)/shapes',
      name: 'shapes',
      component: () => import('../stations/shapes/ShapesStation.vue'),
    },
    { path: '/figures/:id(\\d+)/wool', name: 'wool', component: () => import('../stations/wool/WoolStation.vue') },
    { path: '/figures/:id(\\d+)/face', name: 'face', component: () => import('../stations/face/FaceStation.vue') },
    { path: '/figures/:id(\\d+)/build', name: 'build', component: () => import('../stations/build/BuildStation.vue') },
    { path: '/figures/:id(\\d+)/check', name: 'check', component: () => import('../stations/check/CheckStation.vue') },
    { path: '/:any(.*)', name: 'nowhere', component: NowhereStation },
  ],
})

export const STATIONS = ['shelf', 'shapes', 'wool', 'face', 'build', 'check'] as const
