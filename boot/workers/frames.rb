# frozen_string_literal: true

require_relative "../../core/work"

module NutShelf
  module Boot
    class Workers
      # Ruby values over a socket between processes of ours: four bytes of length, then the value. What is read is
      # frozen.
      module Frames
        LARGEST = 256 * 1024 * 1024

        module_function

        # @param io [IO]
        # @param value [Object] plain frozen values
        def write(io, value)
          bytes = Marshal.dump(value)
          raise Core::Work::Failed, "That is more than a worker is sent." if bytes.bytesize > LARGEST

          io.write([bytes.bytesize].pack("N"), bytes)
        end

        # @param io [IO]
        # @param deadline [Float, nil] on the monotonic clock
        # @yieldreturn [Boolean] whether to stop waiting, asked now and again
        # @return [Object]
        # @raise [EOFError] when the other side is gone
        # @raise [Core::Work::TimedOut, Core::Work::Cancelled]
        def read(io, deadline: nil, &stop)
          length = exactly(io, 4, deadline, &stop).unpack1("N")
          Marshal.load(exactly(io, length, deadline, &stop), freeze: true) # rubocop:disable Security/MarshalLoad -- our own
        end

        def exactly(io, count, deadline, &)
          bytes = +""
          while bytes.bytesize < count
            wait(io, deadline, &)
            piece = io.read_nonblock(count - bytes.bytesize, exception: false)
            raise EOFError if piece.nil?

            bytes << piece unless piece == :wait_readable
          end
          bytes
        end

        # How often somebody who waits is asked whether they still do.
        TURN = 0.05

        def wait(io, deadline)
          loop do
            raise Core::Work::Cancelled, "Nobody waits for it any more." if block_given? && yield

            left = deadline && (deadline - Process.clock_gettime(Process::CLOCK_MONOTONIC))
            raise Core::Work::TimedOut, "It took longer than was allowed." if left && left <= 0
            return if io.wait_readable([block_given? ? TURN : nil, left].compact.min)
          end
        end
      end
    end
  end
end
