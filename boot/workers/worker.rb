# frozen_string_literal: true

require_relative "frames"

module NutShelf
  module Boot
    class Workers
      # One worker: reads jobs from its line until the other side hangs up, and answers them. It has one thread, no
      # connection to the database and nothing open but its line.
      class Worker
        # Shelves it keeps; whoever asks counts along, so that both know what is there.
        KEEPS = 3

        # @param line [UNIXSocket]
        def initialize(line)
          @line = line
          @shared = {}
        end

        # @return when the other side has hung up
        def run
          Frames.write(@line, [:here, Process.pid])
          loop { answer(*Frames.read(@line)) }
        rescue EOFError, Errno::EPIPE, Errno::ECONNRESET
          nil
        end

        private

        def answer(job, key, value)
          last = job.call(shared(key, value)) { |partial| Frames.write(@line, [:part, partial]) }
          Frames.write(@line, [:done, last])
        rescue Errno::EPIPE, Errno::ECONNRESET
          raise
        rescue StandardError, SystemStackError, NoMemoryError => e
          Frames.write(@line, [:failed, "#{e.class}: #{e.message}"])
        end

        def shared(key, value)
          @shared[key] = value if value
          @shared.shift while @shared.size > KEEPS
          @shared.fetch(key)
        end
      end
    end
  end
end
