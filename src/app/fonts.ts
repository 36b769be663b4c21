import localFont from 'next/font/local'

export const text = localFont({
  src: [
    { path: '../../node_modules/@expo-google-fonts/andika/Andika_400Regular.ttf', weight: '400' },
    { path: '../../node_modules/@expo-google-fonts/andika/Andika_700Bold.ttf', weight: '700' },
  ],
  variable: '--font-text',
  display: 'swap',
  preload: false,
})

export const title = localFont({
  src: '../../node_modules/@expo-google-fonts/gentium-book-plus/700Bold/GentiumBookPlus_700Bold.ttf',
  weight: '700',
  variable: '--font-title',
  display: 'swap',
  preload: false,
})

export const devanagari = localFont({
  src: '../../node_modules/@expo-google-fonts/noto-sans-devanagari/400Regular/NotoSansDevanagari_400Regular.ttf',
  weight: '400',
  variable: '--font-devanagari',
  display: 'swap',
  preload: false,
})
