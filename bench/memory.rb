# frozen_string_literal: true

require_relative "harness"
require_relative "house"
require_relative "server"

# What a web process holds after 1,000 and after 10,000 answers, at 2,000 stacks: at most 1.1 x, and under 250 MB.
# bin/bench memory [answers]
most = Integer(ARGV.fetch(0, "10000"))
paths = %w[/api/today /api/stacks?limit=500 /api/meals /api/bring-forward /api/places /api/foods?q=chick /api/dishes]
house = BenchHouse.new
house.fill_quickly(2000)
BenchServer.new(house, processes: 1).serving do |server|
  server.ask_times(paths, 1000)
  early = server.resident.max
  server.ask_times(paths, most - 1000)
  late = server.resident.max
  Harness.table(
    "memory", [{ answers: most, after_1000_mb: early / 1024, after_all_mb: late / 1024,
                 ratio: (late.to_f / early).round(3) }]
  )
end
