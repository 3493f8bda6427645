# frozen_string_literal: true

require "net/http"
require_relative "house"

# The app of a bench's household behind Puma on a loopback port, in processes of its own.
class BenchServer
  HOST = "127.0.0.1"

  attr_reader :port

  # @param house [BenchHouse]
  # @param processes [Integer] web processes
  def initialize(house, processes:)
    @house = house
    @processes = processes
    @port = TCPServer.open(HOST, 0) { |server| server.addr[1] }
  end

  # @yield while it serves
  def serving
    @pid = launch
    await
    yield self
  ensure
    Process.kill(:TERM, @pid)
    Process.wait(@pid)
  end

  # Asks again and again over so many connections at once.
  # @param path [String]
  # @param connections [Integer]
  # @param seconds [Numeric]
  # @return [Array<Float>] milliseconds of every answer
  def ask(path, connections:, seconds:)
    cookie = sign_in
    ends = now + seconds
    Array.new(connections) { Thread.new { one_line(path, cookie) { now < ends } } }.flat_map(&:value)
  end

  # @return [Integer] answers to so many questions, all of which must be good
  def ask_times(paths, count)
    cookie = sign_in
    Net::HTTP.start(HOST, port) { |http| count.times { |index| good(http.get(paths[index % paths.size], cookie)) } }
  end

  # @return [Array<Integer>] resident kilobytes of each web process
  def resident
    children = Dir["/proc/[0-9]*/status"].select { |path| File.read(path)[/^PPid:\s+(\d+)/, 1].to_i == @pid }
    children = children.map { |path| path[/\d+/] }
    (children.empty? ? [@pid] : children).map { |pid| File.read("/proc/#{pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i }
  end

  private

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  def launch
    fixed = { "NUT_SHELF_TODAY" => BenchHouse::TODAY.iso8601 }
    script = File.expand_path("_serve.rb", __dir__)
    yjit = RubyVM::YJIT.enabled? ? %w[--yjit --yjit-exec-mem-size=64] : []
    spawn(fixed, RbConfig.ruby, *yjit, script, @house.url, port.to_s, @processes.to_s, BenchHouse::KEEPER)
  end

  def await
    400.times do
      return if Net::HTTP.get_response(HOST, "/api/session", port).code == "200"
    rescue SystemCallError, EOFError
      sleep 0.05
    end
    raise "the bench's server did not come up"
  end

  def sign_in
    Net::HTTP.start(HOST, port) do |http|
      first = good(http.get("/api/session"))
      cookie = cookies(first)
      token = { "cookie" => cookie, "x-csrf-token" => JSON.parse(first.body)["csrf"],
                "content-type" => "application/json" }
      { "cookie" => cookies(good(http.post("/api/demo-sign-in", "{}", token))) }
    end
  end

  def cookies(answer) = answer.get_fields("set-cookie").grep(/nut_shelf/).first.split(";").first

  def good(answer) = answer.code == "200" ? answer : raise("the bench was answered #{answer.code}")

  def one_line(path, cookie)
    taken = []
    Net::HTTP.start(HOST, port) { |http| taken << Harness.time { good(http.get(path, cookie)) } while yield }
    taken
  end
end
