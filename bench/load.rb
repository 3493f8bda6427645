# frozen_string_literal: true

require "etc"
require_relative "harness"
require_relative "house"
require_relative "server"

# GET /api/today for a household of 476 stacks over 8 connections at once, 10 seconds each: one web process, then as
# many as there are cores. Loopback only. Goal: at least 60 answers a second from both cores.
house = BenchHouse.new
house.fill_quickly(476)
rows =
  [1, Etc.nprocessors].uniq.map do |processes|
    BenchServer.new(house, processes: processes).serving do |server|
      server.ask("/api/today", connections: 8, seconds: 3)
      taken = server.ask("/api/today", connections: 8, seconds: 10).sort
      { processes: processes, connections: 8, answers: taken.size, a_second: (taken.size / 10.0).round(1),
        median_ms: Harness.at(taken, 0.5), p95_ms: Harness.at(taken, 0.95) }
    end
  end
Harness.table("load-today", rows)
