# frozen_string_literal: true

require "json"
require "net/http"
require "securerandom"

# Takes one piece after another over HTTP. A key is written down, and forced to the disk, only after the
# server has acknowledged it; a try without an answer is repeated with the same key until there is one.
class Taker
  def initialize(port, lot, log, lock, stopping)
    @port = port
    @path = "/api/stacks/#{lot}/take"
    @log = log
    @lock = lock
    @stopping = stopping
  end

  def run
    take(SecureRandom.hex(12)) until @stopping.call
  end

  private

  def take(key)
    until (answer = attempt(key))
      IO.select(nil, nil, nil, 0.05)
    end
    raise "refused: #{answer.code} #{answer.body}" unless answer.code == "200"

    @lock.synchronize do
      @log.puts(key)
      @log.fsync
    end
  end

  # @return [Net::HTTPResponse, nil] nil when nobody answered or the answer was no decision
  def attempt(key)
    sign_in unless @cookie
    answer = http.post(@path, '{"amount":"1"}', headers.merge("Idempotency-Key" => key))
    return answer if answer.code.to_i < 500

    nil
  rescue SystemCallError, IOError, Timeout::Error, Net::HTTPBadResponse, JSON::ParserError
    @http = nil
    nil
  end

  def http = @http ||= Net::HTTP.new("127.0.0.1", @port).tap { |http| http.read_timeout = 10 }

  def headers = { "Content-Type" => "application/json", "X-CSRF-Token" => @token, "Cookie" => @cookie }

  def sign_in
    answer = http.get("/api/session")
    cookie = cookie_of(answer)
    signed =
      http.post(
        "/api/demo-sign-in",
        "{}",
        { "Content-Type" => "application/json", "X-CSRF-Token" => JSON.parse(answer.body)["csrf"], "Cookie" => cookie }
      )
    raise IOError, "not signed in" unless signed.code == "200"

    @token = JSON.parse(signed.body)["csrf"]
    @cookie = cookie_of(signed)
  end

  def cookie_of(answer)
    answer.get_fields("set-cookie").find { |text| text.start_with?("nut_shelf=") }.split(";").first
  end
end

port, lot, path = ARGV
stopping = false
trap("TERM") { stopping = true }
lock = Mutex.new
File.open(path, "a") do |log|
  Array.new(8) { Thread.new { Taker.new(port, lot, log, lock, -> { stopping }).run } }.each(&:join)
end
