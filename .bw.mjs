const { build } = await import('./scripts/lib/build.mjs'); await build()
